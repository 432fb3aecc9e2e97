import { join } from 'node:path'
import { FileSystemConfigLoader, HtmlValidate } from 'html-validate'
import type { Fault, Judge } from './judge.js'

/** html-validate as the project has it set: its recommended rules and those of accessibility. */
export const markup: Judge = {
  name: 'markup',
  targets: ['html'],
  async judge(_folder, projects) {
    const validator = new HtmlValidate(new FileSystemConfigLoader())
    const faults: Fault[] = []
    for (const { name, folder, files } of projects) {
      for (const { path } of files) {
        if (!path.endsWith('.html')) continue
        const { results } = await validator.validateFile(join(folder, path))
        for (const { line, ruleId, message } of results.flatMap(({ messages }) => messages))
          faults.push({ file: `${name}/${path}`, line, message: `${ruleId}: ${message}` })
      }
    }
    return faults
  },
}
