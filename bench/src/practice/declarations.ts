import { generate, parse, walk } from 'css-tree'
import type { Page } from '@playwright/test'

type BrowserGlobals = { readonly CSS: { supports(property: string, value: string): boolean } }

/**
 * The declarations of a style sheet that a browser drops, as `property: value`. What depends on a variable can only be known
 * where it is used, and names with a prefix are meant for other browsers: both are left out.
 */
export const findInvalid = async (page: Page, sheet: string): Promise<readonly string[]> => {
  const pairs = new Map<string, readonly [string, string]>()
  walk(parse(sheet), {
    visit: 'Declaration',
    enter(node) {
      // Descriptors are no properties: `@property { syntax: … }`, `@font-face { src: … }`.
      if (this.atrule?.name === 'property' || this.atrule?.name === 'font-face') return
      const value = generate(node.value)
      const isOwn = !node.property.startsWith('-') && !value.startsWith('-')
      if (isOwn && !value.includes('var(')) {
        pairs.set(`${node.property}: ${value}`, [node.property, value])
      }
    },
  })
  return page.evaluate(
    (all) => {
      const { CSS } = globalThis as unknown as BrowserGlobals
      return all
        .filter(([property, value]) => !CSS.supports(property, value))
        .map((one) => one.join(': '))
    },
    [...pairs.values()],
  )
}
