import type { NextFunction, Request, Response } from 'express'

const TOO_LARGE = 'The request is larger than 80 MB. Import fewer screens at a time.'
const BROKEN = 'The request is not valid JSON.'

type ParserError = { readonly status?: unknown; readonly type?: unknown }

/** Answers what the body parser throws, before it can be taken for an unknown address. */
export const bodyErrors = (
  error: ParserError,
  _request: Request,
  response: Response,
  next: NextFunction,
): void => {
  if (error.status === 413) response.status(413).json({ message: TOO_LARGE })
  else if (error.type === 'entity.parse.failed') response.status(400).json({ message: BROKEN })
  else next(error)
}
