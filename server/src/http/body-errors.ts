import type { NextFunction, Request, Response } from 'express'

const TOO_LARGE = 'The request is larger than 80 MB. Import fewer screens at a time.'
const BROKEN = 'The request is not valid JSON.'
/** Its encoding is not the one it names, or none that is known, or it was cut off. */
const UNREADABLE = 'The body of the request cannot be read. Send JSON, as UTF-8.'

type ParserError = { readonly status?: unknown; readonly type?: unknown }

const isRefusal = (error: ParserError): error is { readonly status: number } =>
  typeof error.status === 'number' && error.status >= 400 && error.status < 500

/** Answers what the body parser throws, before it can be taken for an unknown address. */
export const bodyErrors = (
  error: ParserError,
  _request: Request,
  response: Response,
  next: NextFunction,
): void => {
  if (error.status === 413) response.status(413).json({ message: TOO_LARGE })
  else if (error.type === 'entity.parse.failed') response.status(400).json({ message: BROKEN })
  else if (isRefusal(error)) response.status(error.status).json({ message: UNREADABLE })
  else next(error)
}
