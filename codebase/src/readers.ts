import { angular } from './angular/index.js'
import type { SourceFile } from './files.js'
import { flutter } from './flutter/index.js'
import type { Findings } from './found.js'
import { html } from './html/index.js'
import { react } from './react/index.js'
import { tokens } from './tokens/index.js'
import type { Checked } from './typescript/program.js'
import { vue } from './vue/index.js'

/** What is read from files of one kind. A new kind is a file and a line below. */
export type Reader = {
  reads(file: SourceFile): boolean
  /** `checked`: the types of the codebase; there for every file of code. */
  read(file: SourceFile, checked: Checked | undefined): Partial<Findings>
}

/** In this order. */
export const READERS: readonly Reader[] = [angular, flutter, html, react, tokens, vue]
