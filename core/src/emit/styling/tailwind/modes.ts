import { toKebab } from '../../../text/names.js'
import type { TailwindTheme } from './theme.js'

/** Modes that systems know, by their names. */
const SCHEMES = [
  { scheme: 'dark', is: /dark|night/i },
  { scheme: 'light', is: /light|day/i },
] as const

const block = (selector: string, lines: readonly string[], margin = ''): string =>
  [`${selector} {`, ...lines.map((line) => `  ${line}`), '}']
    .map((line) => margin + line)
    .join('\n')

/**
 * The values of a theme in its other modes, as rules that come after it. What is dark or light follows the system;
 * any mode can be set by `data-mode` on an element.
 */
export const modeRules = (modes: ReturnType<TailwindTheme['modes']>): string =>
  modes
    .map(({ mode, declarations }) => {
      const known = SCHEMES.find(({ is }) => is.test(mode))
      const name = toKebab(mode, 'mode')
      const lines = [...(known ? [`color-scheme: ${known.scheme};`] : []), ...declarations]
      const set = block(`[data-mode="${name}"]`, lines)
      if (!known) return `\n/* Set by data-mode="${name}" on an element. */\n${set}\n`
      const inner = block(':root:not([data-mode])', lines, '  ')
      const follows = `@media (prefers-color-scheme: ${known.scheme}) {\n${inner}\n}`
      return `\n/* Follows the system; data-mode="${name}" on an element sets it. */\n${follows}\n\n${set}\n`
    })
    .join('')
