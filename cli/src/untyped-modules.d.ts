/** It has no types of its own. */
declare module 'eslint-plugin-jsx-a11y' {
  import type { Linter } from 'eslint'

  const plugin: { readonly flatConfigs: { readonly strict: Linter.Config } }
  export default plugin
}
