const swc = (module) => [
  '@swc/jest',
  {
    swcrc: false,
    // What is loaded on demand is loaded as the module it is.
    module: { type: module, ignoreDynamic: true },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
      keepClassNames: true,
    },
  },
]

const common = {
  testEnvironment: 'node',
  transform: { '^.+\\.[mc]?[tj]sx?$': swc('commonjs') },
  // These come only as modules; svgo's browser build is the one without Node in it.
  transformIgnorePatterns: ['/node_modules/(?!(svgo|yoga-layout|parse5|entities)/)'],
  moduleNameMapper: {
    '^(\\.{1,2}/.*)\\.js$': '$1',
    '^@unimorph/core$': '<rootDir>/../core/src/index.ts',
    '^svgo/browser$': '<rootDir>/../node_modules/svgo/dist/svgo.browser.js',
    '^@unimorph/fonts$': '<rootDir>/../fonts/src/index.ts',
  },
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
}

const project = (name) => ({ ...common, displayName: name, rootDir: `<rootDir>/${name}` })

export default {
  // Bundlers and compilers run in some; machines that do other things as well are slow.
  testTimeout: 90_000,
  projects: [
    'core',
    'flutter-stand-in',
    'fonts',
    'codebase',
    'server',
    'web',
    'cli',
    'demo',
    'docs',
  ].map(project),
}
