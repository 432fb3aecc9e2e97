/** Something the person can mend: printed as one message, without a stack. */
export class Failure extends Error {
  constructor(
    message: string,
    readonly exitCode: 1 | 2 = 1,
  ) {
    super(message)
  }
}

/** What went wrong with a file or folder, in words. */
export const describeSystemError = (error: unknown): string => {
  const code = (error as NodeJS.ErrnoException).code
  switch (code) {
    case 'EACCES':
    case 'EPERM':
      return 'no permission'
    case 'EEXIST':
    case 'ENOTDIR':
      return 'a file is in the way'
    case 'EISDIR':
      return 'it is a folder'
    case 'ENOENT':
      return 'there is no such file or folder'
    case 'ENOSPC':
      return 'the disk is full'
    case 'EROFS':
      return 'the disk is read-only'
    default:
      return code ?? String(error)
  }
}
