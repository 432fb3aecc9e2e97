import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { layerOfLine, type EmittedFile, type TargetId } from '@unimorph/core'
import type { DeliveredFault } from '@unimorph/core/deliver'
import { packageFolder } from '../build-command.js'
import { writeFiles } from '../write-files.js'
import { dartFaults } from './dart.js'
import type { Fault } from './fault.js'
import { hasTypes, typeFaults } from './types.js'

export { dartFaults } from './dart.js'
export type { Fault } from './fault.js'
export { typeFaults } from './types.js'

/** Where a project can stand to be checked: below it are the packages that delivered projects ask for. */
const workFolder = (): string => {
  const folder = join(packageFolder('typescript'), '..', '.unimorph')
  mkdirSync(folder, { recursive: true })
  return mkdtempSync(join(folder, 'check-'))
}

const PROJECT = 'project'

const inTypes = async (
  files: readonly EmittedFile[],
  target: TargetId,
): Promise<readonly Fault[]> => {
  const folder = workFolder()
  try {
    writeFiles(join(folder, PROJECT), files, { force: true })
    const faults = await typeFaults(folder, [PROJECT], target)
    return faults.map((fault) => ({ ...fault, file: fault.file.replace(`${PROJECT}/`, '') }))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

const placed = (
  { file: path, line, message }: Fault,
  files: readonly EmittedFile[],
): DeliveredFault => {
  const file = files.find((one) => one.path === path)
  return { path, line, what: message, layer: file && layerOfLine(file, line) }
}

/**
 * What the target's own compiler finds in delivered files, in the version that they ask for: types for React, Vue and
 * Angular. Flutter's tools are not among ours: the stand-in checks Dart. HTML has nothing to compile. Takes some seconds.
 */
export const compileDelivered = async (
  files: readonly EmittedFile[],
  target: TargetId,
): Promise<readonly DeliveredFault[]> => {
  const isTyped = files.some(({ path }) => path.endsWith('tsconfig.json'))
  const faults =
    target === 'flutter'
      ? await dartFaults(files)
      : hasTypes(target) && isTyped
        ? await inTypes(files, target)
        : []
  return faults.map((fault) => placed(fault, files))
}

/** What our checker reads in Dart, without laying the screens out: fast enough for every conversion. */
export const readDart = async (
  files: readonly EmittedFile[],
): Promise<readonly DeliveredFault[]> => {
  const faults = await dartFaults(files, { lays: false })
  return faults.map((fault) => placed(fault, files))
}
