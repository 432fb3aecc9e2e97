import type { NextFunction, Request, Response } from 'express'
import { isAnswersFromLoopback } from './loopback-cors'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Refuses changes that a page of another origin asks for, which browsers send without asking first when they look like
 * those of a plain form. Programs that are no browser say nothing of an origin, and may go on. Answers of forms may also
 * come from delivered projects that run on this machine.
 */
export const ownOriginOnly = (request: Request, response: Response, next: NextFunction): void => {
  if (READS.has(request.method) || isAnswersFromLoopback(request)) return next()
  const { origin, host } = request.headers
  const site = request.headers['sec-fetch-site']
  const isOwn = origin === undefined || origin === `http://${host ?? ''}`
  const isSame = site === undefined || site === 'same-origin' || site === 'none'
  if (isOwn && isSame) return next()
  response.status(403).json({
    message: 'Another page asked for this change. Open Unimorph itself and make the change there.',
  })
}
