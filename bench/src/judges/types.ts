import { existsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { packageFolder } from '@unimorph/cli'
import type { TargetId } from '@unimorph/core'
import type { Fault, Judge, Project } from './judge.js'
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
const writeSettings = (folder: string, projects: readonly Project[]): string => {
  const settings = ['tsconfig.app.json', 'tsconfig.json']
    .map((name) => join(projects[0]!.folder, name))
    .find((path) => existsSync(path))
  const path = join(folder, 'tsconfig.all.json')
  writeFileSync(
    path,
    JSON.stringify({
      extends: settings,
      compilerOptions: { noEmit: true, rootDir: '.', incremental: false, composite: false },
      include: projects.map(({ name }) => `${name}/src`),
    }),
  )
  return path
}

/** The target's own compiler, in its strict mode. */
export const types: Judge = {
  name: 'types',
  targets: ['react', 'vue', 'angular'],
  async judge(folder, projects, target) {
    const [name, program] = CHECKERS[target]!
    const settings = writeSettings(folder, projects)
    const args = target === 'angular' ? ['-p', settings] : ['--noEmit', '-p', settings]
    const output = await runTool([join(packageFolder(name), program), ...args], folder)
    const faults = readFaults(output)
    if (faults.length === 0 && /error/i.test(output))
      return [{ file: settings, line: 0, message: output.trim() }]
    return faults
  },
}
