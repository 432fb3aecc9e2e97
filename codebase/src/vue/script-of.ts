import { parse, type SFCDescriptor } from '@vue/compiler-sfc'

export type Script = {
  /** The code of both of its scripts, the one of the module first. */
  readonly text: string
  readonly isSetup: boolean
  readonly descriptor: SFCDescriptor
  /** What is wrong with the file. */
  readonly errors: readonly string[]
}

/** The code of a single-file component. */
export const scriptOf = (source: string): Script => {
  const { descriptor, errors } = parse(source, { sourceMap: false, ignoreEmpty: false })
  const { script, scriptSetup } = descriptor
  const text = [script?.content ?? '', scriptSetup?.content ?? ''].join('\n')
  return {
    text: /\b(import|export)\b/.test(text) ? text : `${text}\nexport {}`,
    isSetup: scriptSetup !== null,
    descriptor,
    errors: errors.map(({ message }) => message),
  }
}
