import { FLUTTER_NAMES } from '@unimorph/core'
import { layOutApp } from '../lay-out-app.js'
import { readProgram } from '../program.js'
import { callsIn } from './calls.js'
import { faultsOfCall } from './call-rules.js'
import type { DartFile, Fault } from './fault.js'
import { faultsOfImports } from './imports.js'
import { faultsOfText, intListsIn } from './text-rules.js'

export type { DartFile } from './fault.js'

export type DartFault = Fault & {
  /** Of what cannot be laid out: the widgets around it. */
  readonly where?: string | undefined
}

/** What all projects share is written by hand, and calls more than the table knows. */
const isShared = ({ path }: DartFile): boolean => path.startsWith('lib/shared/')

/** Widths that screens are laid out at, in px. */
const WIDTHS = [320, 390, 768, 1280]

/**
 * Reads a project as far as that goes without Flutter's own tools: every constructor that is called exists, is given what
 * it takes, in the types it takes, and is constant where it is said to be; every value with a name exists; what is used is
 * imported; no class has a name of Flutter's. What is not known is a fault, and does not pass.
 */
export const checkDartCode = (files: readonly DartFile[]): readonly DartFault[] => {
  const program = readProgram(files.map(({ syntax }) => syntax))
  const own = files.filter((file) => !isShared(file))
  const intLists = new Set(files.flatMap(({ syntax }) => intListsIn(syntax)))
  const faults = own.flatMap(({ path, syntax }): DartFault[] => [
    ...callsIn(syntax).flatMap((call) =>
      faultsOfCall(call, program).map((message) => ({ path, line: call.line, message })),
    ),
    ...faultsOfText(syntax, intLists, program).map((fault) => ({ path, ...fault })),
    ...[...readProgram([syntax]).classes.keys()]
      .filter((name) => FLUTTER_NAMES.has(name))
      .map((name) => ({ path, line: 0, message: `${name} is a name of Flutter` })),
  ])
  return [...faults, ...faultsOfImports(files)]
}

/** Lays every screen out by the rules of Flutter, at several widths; a screen that cannot be laid out is a fault. */
export const layOutDart = (files: readonly DartFile[]): readonly DartFault[] => {
  const own = files.filter((file) => !isShared(file))
  return layOutApp(readProgram(own.map(({ syntax }) => syntax)), WIDTHS).map(
    ({ name, message, where }): DartFault => ({ path: `screen ${name}`, line: 0, message, where }),
  )
}

/** Everything that can be told of a project without Flutter's own tools. */
export const checkDart = (files: readonly DartFile[]): readonly DartFault[] => [
  ...checkDartCode(files),
  ...layOutDart(files),
]
