/** Why storing or reading failed, as SQLite or the file system names it: `SQLITE_FULL`, `ENOSPC`. */
export const storageCode = (error: unknown): string | undefined => {
  if (typeof error !== 'object' || error === null) return undefined
  const { code, driverError } = error as { code?: unknown; driverError?: { code?: unknown } }
  const own = driverError?.code ?? code
  return typeof own === 'string' ? own : undefined
}

export type StorageProblem = {
  /** The HTTP status to answer with. */
  readonly status: 503 | 507
  /** What is wrong and what to do, in a sentence. */
  readonly reason: string
}

/** A new kind of failure is a line here. */
const PROBLEMS: readonly (readonly [RegExp, StorageProblem])[] = [
  [
    /^(SQLITE_FULL|SQLITE_IOERR_SHMSIZE|ENOSPC|EDQUOT)$/,
    { status: 507, reason: 'The disk is full. Free some room on it, then try again.' },
  ],
  [
    /^SQLITE_(BUSY|LOCKED)/,
    { status: 503, reason: 'Another program is using the database. Try again.' },
  ],
  [
    /^(SQLITE_READONLY|SQLITE_CANTOPEN|SQLITE_PERM|EROFS|EACCES|EPERM)/,
    {
      status: 503,
      reason: 'The data folder cannot be written any more. Make it writable, then try again.',
    },
  ],
  [
    /^(SQLITE_(IOERR|CORRUPT|NOTADB)|EIO)/,
    {
      status: 503,
      reason: 'The disk does not answer as it should. Look after it before going on.',
    },
  ],
]

/** What a failure of the disk or the database means to whoever asked; undefined for failures of another kind. */
export const storageProblem = (error: unknown): StorageProblem | undefined => {
  const code = storageCode(error)
  return code === undefined ? undefined : PROBLEMS.find(([codes]) => codes.test(code))?.[1]
}
