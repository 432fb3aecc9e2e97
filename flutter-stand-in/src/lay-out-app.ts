import type { Box } from './box.js'
import { Evaluator, type Host } from './evaluate.js'
import { Layout } from './layout.js'
import type { Program } from './program.js'
import { textOf } from './syntax.js'
import { NotKnown, type State } from './values.js'

const HEIGHT_PX = 800
/** Letters are all as wide: what a project says of its widths is checked, not how its texts are broken. */
const measure = (text: string) => ({ width: text.length * 8, ascent: 12, descent: 4 })

const createHost = (program: Program, width: number): Host => ({
  program,
  size: { width, height: HEIGHT_PX },
  isDark: false,
  navigate: () => undefined,
  back: () => undefined,
  showDialog: () => undefined,
  callShared: (name) => (name === 'isCurrent' ? false : undefined),
  makeShared: (name) =>
    name === 'Answers' ? { kind: 'made', name, named: {}, positional: [] } : undefined,
  callMethod: () => null,
})

/** One screen in a window this wide, in px. */
export const layOutScreen = (program: Program, name: string, width: number): Box => {
  const states = new Map<string, State>()
  const layout = new Layout({
    evaluator: new Evaluator(createHost(program, width)),
    measure,
    base: { size: 14, lineHeight: undefined, css: {} },
    addressOf: (path) => path,
    pictureSize: () => ({ width: 40, height: 20 }),
    stateAt(path, make) {
      const state = states.get(path) ?? { values: make(), change: () => undefined }
      states.set(path, state)
      return state
    },
  })
  const c = { minWidth: width, maxWidth: width, minHeight: HEIGHT_PX, maxHeight: Infinity }
  return layout.lay({ kind: 'made', name, named: {}, positional: [] }, c, '')
}

/** The names of the screens of a project. */
export const screensOf = ({ classes }: Program): readonly string[] =>
  [...classes.values()]
    .filter(({ build }) => build && /return(const)?AppScreen\(/.test(textOf(build)))
    .map(({ name }) => name.replace(/^_(\w+)State$/, '$1'))

/** Whether everything has a size with an end. */
export const isSound = ({ width, height, children }: Box): boolean =>
  Number.isFinite(width) &&
  Number.isFinite(height) &&
  children.every(({ x, y, box }) => Number.isFinite(x + y) && isSound(box))

export type LayoutFault = {
  /** Of the screen. */
  readonly name: string
  readonly message: string
  /** The widgets around it, from the outside in. */
  readonly where?: string | undefined
}

/** Lays all screens out at some widths; says where that cannot be done, once for each reason. */
export const layOutApp = (program: Program, widths: readonly number[]): readonly LayoutFault[] => {
  const faults = new Map<string, LayoutFault>()
  for (const name of screensOf(program)) {
    for (const width of widths) {
      try {
        if (!isSound(layOutScreen(program, name, width)))
          faults.set(name, { name, message: `Something has no end at ${width} px` })
      } catch (error) {
        const { message } = error as Error
        const where = error instanceof NotKnown ? error.where : undefined
        faults.set(`${name} ${message}`, { name, message, where })
      }
    }
  }
  return [...faults.values()]
}
