import type { NextFunction, Request, Response } from 'express'

const API = /^\/api(\/|$)/i

const decode = (path: string): string | undefined => {
  try {
    return decodeURIComponent(path)
  } catch {
    return undefined
  }
}

/**
 * Keeps what is meant for the API from being answered with the app: an address that is spelled in another way, as
 * `//api/projects`, is none.
 */
export const apiPaths = (request: Request, response: Response, next: NextFunction): void => {
  const { path } = request
  const meant = decode(path)?.replace(/^[/\\]+/, '/')
  if (meant === undefined) {
    response.status(400).json({ message: 'The address cannot be read.' })
    return
  }
  if (API.test(path) || !API.test(meant)) return next()
  response.status(404).json({ message: `There is no ${path.slice(0, 200)} here.` })
}
