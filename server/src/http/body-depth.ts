import type { NextFunction, Request, Response } from 'express'

/** Deeper than any design that is accepted; what looks at a body goes down into it, and would run out of stack. */
const DEEPEST = 1000

/** Whether something is nested deeper than that, told without going down into it. */
const isDeeper = (body: unknown, deepest: number): boolean => {
  const open: [unknown, number][] = [[body, 0]]
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, depth] = next
    if (typeof value !== 'object' || value === null) continue
    if (depth > deepest) return true
    for (const inside of Object.values(value)) open.push([inside, depth + 1])
  }
  return false
}

/** Refuses bodies that are nested too deep. */
export const bodyDepth = (request: Request, response: Response, next: NextFunction): void => {
  if (!isDeeper(request.body, DEEPEST)) return next()
  response
    .status(400)
    .json({ message: `The request is nested more than ${String(DEEPEST)} levels deep.` })
}
