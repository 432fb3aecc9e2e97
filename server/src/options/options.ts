import { parseArgs } from 'node:util'
import { resolve } from 'node:path'

export type Options = {
  readonly port: number
  readonly host: string
  /** Folder of the database. */
  readonly data: string
  readonly demo: boolean
  /** Folders that codebases may be read in. */
  readonly codebases: readonly string[]
}

/** What the command line asks for: start a server, write a backup, or restore one. */
export type Command =
  | { readonly kind: 'serve'; readonly options: Options }
  | { readonly kind: 'backup' | 'restore'; readonly file: string; readonly data: string }

/** A mistake on the command line, said in one sentence. */
export class OptionsError extends Error {}

const DEFAULT_PORT = 4780

const readPort = (text: string): number => {
  const port = Number(text)
  if (Number.isInteger(port) && port >= 0 && port <= 65535) return port
  throw new OptionsError(`--port ${text}: a port is a whole number from 0 to 65535.`)
}

/** Reads `backup FILE [--data DIR]` and `restore FILE [--data DIR]`; everything else starts a server. */
export const readCommand = (args: readonly string[], defaultData: string): Command => {
  const [kind, ...rest] = args
  if (kind !== 'backup' && kind !== 'restore')
    return { kind: 'serve', options: readOptions(args, defaultData) }
  const usage = new OptionsError(`Write ${kind} FILE [--data DIR].`)
  try {
    const { values, positionals } = parseArgs({
      args: rest,
      allowPositionals: true,
      options: { data: { type: 'string', default: defaultData } },
    })
    const [file, ...others] = positionals
    if (file === undefined || others.length > 0) throw usage
    return { kind, file: resolve(file), data: resolve(values.data) }
  } catch {
    throw usage
  }
}

/** Reads the arguments of `npm start`. `--port 0` takes any free port. */
export const readOptions = (args: readonly string[], defaultData: string): Options => {
  try {
    const { values } = parseArgs({
      args: [...args],
      options: {
        port: { type: 'string', default: String(DEFAULT_PORT) },
        host: { type: 'string', default: '127.0.0.1' },
        data: { type: 'string', default: defaultData },
        'no-demo': { type: 'boolean', default: false },
        codebase: { type: 'string', multiple: true, default: [] },
      },
    })
    return {
      port: readPort(values.port),
      host: values.host,
      data: resolve(values.data),
      demo: !values['no-demo'],
      codebases: values.codebase.map((folder) => resolve(folder)),
    }
  } catch (error) {
    if (error instanceof OptionsError) throw error
    const { message } = error as Error
    throw new OptionsError(
      `${message.split('. ')[0]}. Allowed: --port, --host, --data DIR, --codebase DIR, --no-demo.`,
    )
  }
}
