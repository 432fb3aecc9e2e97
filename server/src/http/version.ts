import { createHash } from 'node:crypto'
import {
  ConflictException,
  createParamDecorator,
  HttpException,
  type ExecutionContext,
} from '@nestjs/common'
import type { Request } from 'express'

const PRECONDITION_REQUIRED = 428

/** What tells one content from another: the same text has the same version, whoever wrote it and when. */
export const versionOf = (text: string): string =>
  createHash('sha256').update(text).digest('hex').slice(0, 32)

/** How the field is described. */
export const IF_MATCH = {
  name: 'if-match',
  required: true,
  description: 'The version that is changed, as it was read; * for any.',
}

/**
 * The version of what a request changes, from its `If-Match` (RFC 9110, 13.1.1); undefined for `*`, which changes whatever is
 * there. Without the field nothing is changed: the last to write would win, and nobody would know.
 */
export const IfMatch = createParamDecorator(
  (_: unknown, context: ExecutionContext): string | undefined => {
    const value = context.switchToHttp().getRequest<Request>().header('if-match')
    if (value === undefined)
      throw new HttpException(
        { message: 'Say what you change: send its version as If-Match, or * for any.' },
        PRECONDITION_REQUIRED,
      )
    if (value.trim() === '*') return undefined
    return value.trim().replace(/^"(.*)"$/, '$1')
  },
)

/** Throws where something is not any more what it was when it was changed; the answer has what it is now. */
export const needVersion = (
  wanted: string | undefined,
  version: string,
  what: string,
  current: () => unknown,
): void => {
  if (wanted === undefined || wanted === version) return
  throw new ConflictException({
    message: `${what} changed meanwhile, in another window or program. Nothing was saved.`,
    version,
    current: current(),
  })
}
