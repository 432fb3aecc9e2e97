import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Font } from '@unimorph/core'
import { FontRefused, readFont } from '@unimorph/fonts'
import { describeSystemError, Failure } from './failure.js'

/** The fonts in a folder, in the order of their names. */
export const readFonts = (folder: string): Font[] => {
  let names: string[]
  try {
    names = readdirSync(folder).sort()
  } catch (error) {
    throw new Failure(`--fonts ${folder}: cannot be read, ${describeSystemError(error)}.`)
  }
  const files = names.filter((name) => /\.(woff2?|ttf|otf)$/i.test(name))
  if (files.length === 0) {
    throw new Failure(`--fonts ${folder}: there is no WOFF2, WOFF, TTF or OTF file in it.`)
  }
  return files.map((name) => {
    const bytes = readFileSync(join(folder, name))
    try {
      return { ...readFont(bytes), base64: bytes.toString('base64') }
    } catch (error) {
      if (error instanceof FontRefused) {
        throw new Failure(`${join(folder, name)}: ${error.message}.`)
      }
      throw error
    }
  })
}
