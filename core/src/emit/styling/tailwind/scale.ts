/** The names of Tailwind's own scale that are in rem, with what they are in px. */
const SIZES: Readonly<Record<string, readonly (readonly [name: string, px: number])[]>> = {
  text: [
    ['xs', 12],
    ['sm', 14],
    ['base', 16],
    ['lg', 18],
    ['xl', 20],
    ['2xl', 24],
    ['3xl', 30],
    ['4xl', 36],
    ['5xl', 48],
    ['6xl', 60],
    ['7xl', 72],
    ['8xl', 96],
    ['9xl', 128],
  ],
  rounded: [
    ['xs', 2],
    ['sm', 4],
    ['md', 6],
    ['lg', 8],
    ['xl', 12],
    ['2xl', 16],
    ['3xl', 24],
    ['4xl', 32],
  ],
}
const VARIABLES: Readonly<Record<string, string>> = { text: 'text', rounded: 'radius' }

const NAMED = /^(?:.*:)?(text|rounded)(?:-[trblse]{1,2})?-([a-z\d]+)(?:\/.*)?$/

/** Declarations that make the steps of Tailwind's scale px, for those names that are in use and that no token has. */
export const scaleInPx = (
  classes: ReadonlySet<string>,
  declarations: readonly string[],
): readonly string[] => {
  const used = new Set(
    [...classes].flatMap((name) => {
      const [, kind, step] = NAMED.exec(name) ?? []
      return kind === undefined ? [] : [`${kind} ${step!}`]
    }),
  )
  const own = Object.entries(SIZES).flatMap(([kind, steps]) =>
    steps
      .filter(([step]) => used.has(`${kind} ${step}`))
      .map(([step, px]) => `--${VARIABLES[kind]!}-${step}: ${String(px)}px;`),
  )
  const isDeclared = (line: string): boolean =>
    declarations.some((one) => one.startsWith(line.slice(0, line.indexOf(':') + 1)))
  return ['--spacing: 4px;', ...own].filter((line) => !isDeclared(line))
}
