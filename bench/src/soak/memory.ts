import { readdirSync, readFileSync } from 'node:fs'

/** What a process is, as far as it is needed here: its parent, its command and its memory. */
type Process = {
  readonly pid: number
  readonly parent: number
  readonly command: string
  readonly residentMb: number
}

const PAGE_BYTES = 4096

const readProcess = (pid: number): Process | undefined => {
  try {
    const stat = readFileSync(`/proc/${String(pid)}/stat`, 'utf8')
    // The name of the program may hold blanks; what follows it does not.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
    const command = readFileSync(`/proc/${String(pid)}/cmdline`, 'utf8').replaceAll('\0', ' ')
    const pages = Number(readFileSync(`/proc/${String(pid)}/statm`, 'utf8').split(' ')[1])
    const residentMb = (pages * PAGE_BYTES) / 1e6
    return { pid, parent: Number(fields[1]), command, residentMb }
  } catch {
    // It has ended meanwhile.
    return undefined
  }
}

/** Memory of a process and of those it started, in MB, by what `nameOf` calls each of them; Linux only. */
export const measureMemory = (
  root: number,
  nameOf: (command: string, pid: number) => string | undefined,
): ReadonlyMap<string, number> => {
  const all = readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .flatMap((name) => readProcess(Number(name)) ?? [])
  const family = new Set([root])
  for (let before = 0; before < family.size;) {
    before = family.size
    for (const { pid, parent } of all) if (family.has(parent)) family.add(pid)
  }
  const sums = new Map<string, number>()
  for (const { pid, command, residentMb } of all) {
    const name = family.has(pid) ? nameOf(command, pid) : undefined
    if (name !== undefined) sums.set(name, (sums.get(name) ?? 0) + residentMb)
  }
  return sums
}
