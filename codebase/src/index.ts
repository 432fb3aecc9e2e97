export { createCache, readCache, writeCache, type ScanCache } from './cache.js'
export { scanCodebase } from './scan.js'
