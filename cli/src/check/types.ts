import { existsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { TargetId } from '@unimorph/core'
import { packageFolder } from '../build-command.js'
import type { Fault } from './fault.js'
import { runTool } from './run-tool.js'

const CHECKERS: Readonly<Partial<Record<TargetId, readonly [name: string, program: string]>>> = {
  react: ['typescript', 'bin/tsc'],
  vue: ['vue-tsc', 'bin/vue-tsc.js'],
  angular: ['@angular/compiler-cli', 'bundles/src/bin/ngc.js'],
}

const FAULT = /^(.+?)(?:\((\d+),\d+\)|:(\d+):\d+) ?[:-] (error .*)$/

/** What a compiler said, line by line. */
const readFaults = (output: string): Fault[] =>
  output.split('\n').flatMap((line) => {
    const found = FAULT.exec(line)
    if (!found) return []
    return [{ file: found[1]!, line: Number(found[2] ?? found[3]), message: found[4]! }]
  })

/**
 * The settings that the first project is checked with, for the files of all of them: one program reads the declarations
 * of the framework once.
 */
const writeSettings = (folder: string, names: readonly string[]): string => {
  const settings = ['tsconfig.app.json', 'tsconfig.json']
    .map((name) => join(folder, names[0]!, name))
    .find((path) => existsSync(path))
  const path = join(folder, 'tsconfig.all.json')
  writeFileSync(
    path,
    JSON.stringify({
      extends: settings,
      compilerOptions: { noEmit: true, rootDir: '.', incremental: false, composite: false },
      include: names.map((name) => `${name}/src`),
    }),
  )
  return path
}

/** Whether a target's code has types that its compiler checks. */
export const hasTypes = (target: TargetId): boolean => CHECKERS[target] !== undefined

/**
 * The target's own compiler, in its strict mode, on projects in `folder`, each by its name. Packages are looked for as Node
 * does it, from the folder on upwards.
 */
export const typeFaults = async (
  folder: string,
  names: readonly string[],
  target: TargetId,
): Promise<readonly Fault[]> => {
  const [name, program] = CHECKERS[target]!
  const settings = writeSettings(folder, names)
  const args = target === 'angular' ? ['-p', settings] : ['--noEmit', '-p', settings]
  const output = await runTool([join(packageFolder(name), program), ...args], folder)
  const faults = readFaults(output)
  if (faults.length === 0 && /error/i.test(output))
    return [{ file: settings, line: 0, message: output.trim() }]
  return faults
}
