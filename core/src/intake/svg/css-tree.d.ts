// The parts of css-tree that are used, without the tables of its validator; its types describe only the whole.
declare module 'css-tree/parser' {
  const parse: (typeof import('css-tree'))['parse']
  export default parse
}
declare module 'css-tree/generator' {
  const generate: (typeof import('css-tree'))['generate']
  export default generate
}
