import { relative } from 'node:path'
import { ESLint } from 'eslint'
import type { Fault, Judge } from './judge.js'

/** ESLint as the project has it set: what its framework's people recommend, TypeScript's stricter rules, and those of accessibility. */
export const lint: Judge = {
  name: 'lint',
  targets: ['react', 'vue', 'angular'],
  async judge(folder, projects) {
    const faults: Fault[] = []
    for (const { folder: cwd } of projects) {
      for (const { filePath, messages } of await new ESLint({ cwd }).lintFiles('.'))
        for (const { line, ruleId, message } of messages)
          faults.push({
            file: relative(folder, filePath),
            line,
            message: `${ruleId ?? 'parser'}: ${message}`,
          })
    }
    return faults
  },
}
