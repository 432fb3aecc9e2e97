export { createCache, readCache, writeCache, type ScanCache } from './cache.js'
export { scanCodebase } from './scan.js'
export { scanPackage, type ScannedPackage } from './packages/scan-package.js'
export { findReachable, openSources, type Sources } from './sources.js'
