import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import type { CodeComponent, Codebase } from '@unimorph/core'

/** A folder with some files, for a test; `remove` takes it away. */
export const createFolder = (files: Readonly<Record<string, string>>) => {
  const root = mkdtempSync(join(tmpdir(), 'unimorph-codebase-'))
  const write = (path: string, text: string): void => {
    mkdirSync(dirname(join(root, path)), { recursive: true })
    writeFileSync(join(root, path), text)
  }
  for (const [path, text] of Object.entries(files)) write(path, text)
  return { root, write, remove: () => rmSync(root, { recursive: true, force: true }) }
}

/** `size?: choice(sm, md) = md`: the props of a component as lines. */
export const linesOf = ({ props }: CodeComponent): readonly string[] =>
  props
    .filter(({ isInherited }) => !isInherited)
    .map(({ name, type, as, isRequired, standard }) => {
      const options = type.kind === 'choice' ? `(${type.options.join(', ')})` : ''
      const before = as === 'prop' ? '' : `${as} `
      const end = standard === undefined ? '' : ` = ${String(standard)}`
      return `${before}${name}${isRequired ? '' : '?'}: ${type.kind}${options}${end}`
    })

export const find = ({ components }: Codebase, id: string): CodeComponent => {
  const found = components.find((one) => one.id === id)
  if (!found) throw new Error(`${id} is none of ${components.map((one) => one.id).join(', ')}`)
  return found
}
