// A process that runs command lines one after the other, as the program does for each: started by `start-commands.ts`.
import { run } from '../main.js'

type Wanted = { readonly args: readonly string[]; readonly cwd: string }

/** What is written to a stream while `work` runs. */
const captured = async (work: () => Promise<number>) => {
  const said = { stdout: '', stderr: '' }
  const real = { stdout: process.stdout.write, stderr: process.stderr.write }
  for (const name of ['stdout', 'stderr'] as const) {
    process[name].write = ((chunk: string | Uint8Array) => {
      said[name] += typeof chunk === 'string' ? chunk : Buffer.from(chunk).toString()
      return true
    }) as typeof process.stdout.write
  }
  try {
    return { status: await work(), ...said }
  } finally {
    process.stdout.write = real.stdout
    process.stderr.write = real.stderr
  }
}

process.on('message', ({ args, cwd }: Wanted) => {
  process.chdir(cwd)
  captured(() => run(args))
    .then((result) => process.send!(result))
    .catch((error: unknown) => process.send!({ status: null, stdout: '', stderr: String(error) }))
})
