import { HttpException } from '@nestjs/common'

/** How a job ended, as plain data: classes do not pass from one process to the other. */
export type JobOutcome<T> =
  | { readonly value: T }
  /** It was refused with an answer for the one who asked. */
  | { readonly refused: { readonly status: number; readonly body: string | object } }
  | {
      readonly failed: { readonly message: string; readonly stack?: string; readonly code?: string }
    }

/** Runs a job in its process. */
export const outcomeOf = async <T>(work: () => Promise<T>): Promise<JobOutcome<T>> => {
  try {
    return { value: await work() }
  } catch (error) {
    if (error instanceof HttpException)
      return { refused: { status: error.getStatus(), body: error.getResponse() } }
    const { message, stack, code } = error as NodeJS.ErrnoException
    return {
      failed: {
        message: message || String(error),
        ...(stack === undefined ? {} : { stack }),
        ...(typeof code === 'string' ? { code } : {}),
      },
    }
  }
}

/** What a job gave; throws what it threw, on the side of the one who asked. */
export const valueOf = <T>(outcome: JobOutcome<T>): T => {
  if ('value' in outcome) return outcome.value
  if ('refused' in outcome) {
    const { body, status } = outcome.refused
    throw new HttpException(body, status)
  }
  throw Object.assign(new Error(outcome.failed.message), outcome.failed)
}
