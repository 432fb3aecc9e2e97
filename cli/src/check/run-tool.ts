import { spawn } from 'node:child_process'

/** Runs a program of Node; returns what it printed, however it ended. */
export const runTool = (args: readonly string[], cwd: string): Promise<string> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--max-old-space-size=6144', ...args], {
      cwd,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0' },
    })
    let output = ''
    child.stdout.on('data', (data: Buffer) => (output += data.toString()))
    child.stderr.on('data', (data: Buffer) => (output += data.toString()))
    child.on('error', reject)
    child.on('close', () => resolve(output))
  })
