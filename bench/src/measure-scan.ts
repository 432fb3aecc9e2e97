import { spawnSync } from 'node:child_process'
import { appendFileSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createCache, scanCodebase } from '@unimorph/codebase'

// Scans a made-up codebase of React, again after one change, and checks its types with the compiler; prints ms as JSON.
const COUNT = Number(process.argv[2] ?? '2000')
const ROOT = resolve(fileURLToPath(new URL('../..', import.meta.url)))

const folder = mkdtempSync(join(tmpdir(), 'unimorph-scan-'))
const write = (path: string, text: string): void => {
  mkdirSync(resolve(folder, path, '..'), { recursive: true })
  writeFileSync(join(folder, path), text)
}

const component = (i: number): string => `import type { ComponentProps, ReactNode } from 'react'
import type { Tone } from './tone'
${i % 10 !== 0 ? `import { Part${i - 1} } from './Part${i - 1}'\n` : ''}
type Part${i}Props = ComponentProps<'div'> & {
  /** What it is called. */
  label: string
  tone?: Tone
  size?: 'sm' | 'md' | 'lg'
  icon?: ReactNode
  onPick?: (id: string) => void
}

/** Part ${i}. */
export function Part${i}({ label, tone = 'calm', size = 'md', icon, onPick, ...rest }: Part${i}Props) {
  return (
    <div data-tone={tone} data-size={size} onDoubleClick={() => onPick?.(label)} {...rest}>
      {icon}
      {label}
      ${i % 10 !== 0 ? `<Part${i - 1} label="before" />` : 'first'}
    </div>
  )
}
`

const timed = async (work: () => unknown): Promise<number> => {
  const start = performance.now()
  await work()
  return performance.now() - start
}

const require = createRequire(import.meta.url)

const main = async (): Promise<void> => {
  write(
    'tsconfig.json',
    '{"compilerOptions":{"strict":true,"jsx":"react-jsx","module":"esnext","moduleResolution":"bundler","target":"es2022","lib":["es2023","dom","dom.iterable"],"types":[],"skipLibCheck":true,"noEmit":true},"include":["src"]}',
  )
  write('src/tone.ts', "export type Tone = 'calm' | 'loud'\n")
  for (let i = 0; i < COUNT; i++) write(`src/Part${i}.tsx`, component(i))
  symlinkSync(join(ROOT, 'node_modules'), join(folder, 'node_modules'))

  const cache = createCache()
  const first = await timed(() => scanCodebase(folder, cache))
  appendFileSync(join(folder, `src/Part${COUNT - 1}.tsx`), '\n// changed\n')
  const second = await timed(() => scanCodebase(folder, cache))
  const tsc = require.resolve('typescript/bin/tsc')
  const check = await timed(() => {
    const { status, stdout } = spawnSync(process.execPath, [tsc, '-p', folder], {
      encoding: 'utf8',
    })
    if (status !== 0) throw new Error(stdout.slice(0, 500))
  })
  console.log(JSON.stringify({ first, second, check }))
}

await main().finally(() => rmSync(folder, { recursive: true, force: true }))
