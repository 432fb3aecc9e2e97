import type { NextFunction, Request, Response } from 'express'

const LOOPBACK = /^http:\/\/(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/

/**
 * Lets pages that run on this machine, such as a delivered project, send answers of forms here. Pages from elsewhere
 * may not: the browser keeps them from it.
 */
export const loopbackCors = (request: Request, response: Response, next: NextFunction): void => {
  const { origin } = request.headers
  const isAnswers = /^\/api\/projects\/[^/]+\/answers\/[^/]+$/.test(request.path)
  if (!isAnswers || origin === undefined || !LOOPBACK.test(origin)) return next()
  response.setHeader('access-control-allow-origin', origin)
  response.setHeader('vary', 'origin')
  if (request.method !== 'OPTIONS') return next()
  response.setHeader('access-control-allow-methods', 'POST')
  response.setHeader('access-control-allow-headers', 'content-type')
  response.status(204).end()
}
