import type { NextFunction, Request, Response } from 'express'

const LOCAL = new Set(['localhost', '127.0.0.1', '[::1]'])

/**
 * Refuses requests that reached this machine under a foreign name: a web page elsewhere could otherwise
 * have its own domain point here and read the projects (DNS rebinding).
 */
export const localOnly =
  (allowedHost: string) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const host = (request.headers.host ?? '').replace(/:\d+$/, '')
    if (LOCAL.has(host) || host === allowedHost) return next()
    response.status(403).json({ message: 'Open the address that was printed at the start.' })
  }
