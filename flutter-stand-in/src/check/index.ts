import { FLUTTER_NAMES } from '@unimorph/core'
import { layOutApp } from '../lay-out-app.js'
import { readProgram } from '../program.js'
import type { Syntax } from '../syntax.js'
import { callsIn } from './calls.js'
import { faultsOfCall } from './call-rules.js'
import { faultsOfText, intListsIn } from './text-rules.js'

/** A file of Dart, parsed. */
export type DartFile = { readonly path: string; readonly syntax: Syntax }

export type DartFault = {
  readonly path: string
  readonly message: string
  /** Of what cannot be laid out: the widgets around it. */
  readonly where?: string | undefined
}

/** What all projects share is written by hand, and calls more than the table knows. */
const isShared = ({ path }: DartFile): boolean => path.startsWith('lib/shared/')

/** Widths that screens are laid out at, in px. */
const WIDTHS = [320, 390, 768, 1280]

/**
 * Checks a project as far as that goes without Flutter's own tools: every constructor that is called exists, is given what
 * it takes and is constant where it is said to be; no class has a name of Flutter's; every screen is laid out by the rules
 * of Flutter at several widths. What is not known is a fault, and does not pass.
 */
export const checkDart = (files: readonly DartFile[]): readonly DartFault[] => {
  const program = readProgram(files.map(({ syntax }) => syntax))
  const own = files.filter((file) => !isShared(file))
  const intLists = new Set(files.flatMap(({ syntax }) => intListsIn(syntax)))
  const faults = own.flatMap(({ path, syntax }): DartFault[] =>
    [
      ...callsIn(syntax).flatMap((call) => faultsOfCall(call, program)),
      ...faultsOfText(syntax, intLists),
      ...[...readProgram([syntax]).classes.keys()]
        .filter((name) => FLUTTER_NAMES.has(name))
        .map((name) => `${name} is a name of Flutter`),
    ].map((message) => ({ path, message })),
  )
  const layouts = layOutApp(readProgram(own.map(({ syntax }) => syntax)), WIDTHS).map(
    ({ name, message, where }): DartFault => ({ path: `screen ${name}`, message, where }),
  )
  return [...faults, ...layouts]
}
