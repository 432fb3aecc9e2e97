import type { NextFunction, Request, Response } from 'express'

const LOOPBACK = /^http:\/\/(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/

/** Whether a page that runs on this machine sends the answers of a form; reading or deleting them is not for it. */
export const isAnswersFromLoopback = ({ headers: { origin }, method, path }: Request): boolean =>
  origin !== undefined &&
  (method === 'POST' || method === 'OPTIONS') &&
  LOOPBACK.test(origin) &&
  /^\/api\/projects\/[^/]+\/answers\/[^/]+$/.test(path)

/**
 * Lets pages that run on this machine, such as a delivered project, send answers of forms here. Pages from elsewhere
 * may not: the browser keeps them from it.
 */
export const loopbackCors = (request: Request, response: Response, next: NextFunction): void => {
  if (!isAnswersFromLoopback(request)) return next()
  response.setHeader('access-control-allow-origin', request.headers.origin!)
  response.setHeader('vary', 'origin')
  if (request.method !== 'OPTIONS') return next()
  response.setHeader('access-control-allow-methods', 'POST')
  response.setHeader('access-control-allow-headers', 'content-type')
  response.status(204).end()
}
