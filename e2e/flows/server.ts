import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { test as base } from '@playwright/test'

const MAIN = resolve(import.meta.dirname, '../../server/dist/main.js')

export type Started = {
  readonly process: ChildProcess
  readonly output: string
  readonly code: number | null
}

/** Starts a server and waits until it is ready or has ended. */
export const startServer = (...args: string[]): Promise<Started> =>
  new Promise((done) => {
    const child = spawn(process.execPath, [MAIN, ...args])
    let output = ''
    const listen = (data: Buffer): void => {
      output += data.toString()
      if (output.includes('ready')) done({ process: child, output, code: null })
    }
    child.stdout.on('data', listen)
    child.stderr.on('data', listen)
    child.on('exit', (code) => done({ process: child, output, code }))
  })

export const addressOf = ({ output }: Started): string => /http:\S+/.exec(output)![0]

export type OwnServer = {
  readonly address: string
  /** Folder of its database and of its copies of the demo's codebases. */
  readonly data: string
}

/** Each worker has a server of its own, with its own port and database. */
export const test = base.extend<object, { server: OwnServer }>({
  server: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const data = mkdtempSync(join(tmpdir(), 'unimorph-e2e-'))
      const started = await startServer('--port', '0', '--data', data)
      if (started.code !== null) throw new Error(started.output)
      await use({ address: addressOf(started), data })
      started.process.kill()
      rmSync(data, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server.address),
})
