import { readFileSync } from 'node:fs'
import { describeSystemError, Failure } from './failure.js'

/**
 * The value of a JSON file.
 *
 * @param called how the file is called in messages
 * @throws Failure when it cannot be read, or is no JSON
 */
export const readJson = (path: string, called = path): unknown => {
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as unknown
  } catch (error) {
    if (error instanceof SyntaxError)
      throw new Failure(`${called}: it is not valid JSON, ${error.message}.`)
    throw new Failure(`${called}: cannot be read, ${describeSystemError(error)}.`)
  }
}
