/** What is used of a connection to SQLite. */
export type Connection = {
  readonly inTransaction: boolean
  /** It is kept in memory only, and is gone when the connection is closed. */
  readonly memory: boolean
  exec(sql: string): unknown
  pragma(text: string): unknown
  prepare(sql: string): {
    all(...values: unknown[]): unknown[]
    iterate(...values: unknown[]): Iterable<unknown>
    run(...values: unknown[]): unknown
  }
  /** SQLite's online backup, into a file: of one moment, whoever writes meanwhile. */
  backup(file: string): Promise<unknown>
  close(): unknown
}

type Settings = {
  readonly timeout?: number
  readonly fileMustExist?: boolean
  readonly readonly?: boolean
}

/** Opens a connection beside that of the ORM. */
export const connect = async (file: string, settings: Settings = {}): Promise<Connection> => {
  const { default: Sqlite } = (await import('better-sqlite3' as string)) as {
    default: new (file: string, settings: Settings) => Connection
  }
  return new Sqlite(file, settings)
}
