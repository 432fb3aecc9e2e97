import { join } from 'node:path'
import * as prettier from 'prettier'
import type { Fault, Judge } from './judge.js'

const READ = /\.(tsx?|jsx?|vue|html|css|scss|json|md)$/

const lineOf = (before: string, after: string): number => {
  const lines = after.split('\n')
  return before.split('\n').findIndex((line, i) => line !== lines[i]) + 1
}

/** Prettier, with what the project says of it: nothing changes. */
export const format: Judge = {
  name: 'format',
  targets: ['html', 'react', 'vue', 'angular'],
  async judge(_folder, projects) {
    const faults: Fault[] = []
    for (const { name, folder, files } of projects) {
      for (const { path, content } of files) {
        if (content.kind !== 'text' || !READ.test(path)) continue
        const filepath = join(folder, path)
        const info = await prettier.getFileInfo(filepath, {
          ignorePath: join(folder, '.prettierignore'),
        })
        if (info.ignored) continue
        const options = await prettier.resolveConfig(filepath)
        const file = `${name}/${path}`
        try {
          const printed = await prettier.format(content.text, { ...options, filepath })
          if (printed !== content.text) {
            const line = lineOf(content.text, printed)
            faults.push({ file, line, message: 'Prettier prints it otherwise' })
          }
        } catch (error) {
          faults.push({ file, line: 0, message: (error as Error).message.split('\n')[0]! })
        }
      }
    }
    return faults
  },
}
