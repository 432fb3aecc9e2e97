import type { Syntax } from '../syntax.js'

/** A file of Dart, parsed. */
export type DartFile = { readonly path: string; readonly syntax: Syntax }

/** What is wrong, and on which line of which file, from 1; line 0 of what stands on none. */
export type Fault = { readonly path: string; readonly line: number; readonly message: string }
