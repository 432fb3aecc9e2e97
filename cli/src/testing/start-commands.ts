import { fork, type ChildProcess } from 'node:child_process'
import { resolve } from 'node:path'

export type Said = {
  readonly status: number | null
  readonly stdout: string
  readonly stderr: string
  readonly output: string
}

const PROGRAM = resolve(__dirname, '../../dist/testing/command-process.js')

/**
 * Runs command lines in one process that stays, so that the compilers it loads are loaded once. One at a time. What the program
 * itself is when it is started anew, tests of `bin` see.
 */
export const startCommands = () => {
  let child: ChildProcess | undefined
  return {
    run: (args: readonly string[], cwd: string): Promise<Said> =>
      new Promise((done, fail) => {
        child ??= fork(PROGRAM, { stdio: ['ignore', 'inherit', 'inherit', 'ipc'] })
        const exited = (): void => fail(new Error(`unimorph ${args.join(' ')} ended its process`))
        child.once('exit', exited)
        child.once('message', (said: Omit<Said, 'output'>) => {
          child?.off('exit', exited)
          done({ ...said, output: `${said.stdout}${said.stderr}` })
        })
        child.send({ args, cwd })
      }),
    stop: (): void => {
      child?.kill()
      child = undefined
    },
  }
}
