import { Fault } from '#core/validation'
import { fileText } from './usage'

/** What a file holds, as JSON. @param expected what it should be, for people */
export function jsonFile(path: string, expected: string): unknown {
  try {
    return JSON.parse(fileText([path]))
  } catch (error) {
    if (error instanceof Fault || !(error instanceof SyntaxError)) throw error
    throw new Fault('the file', `not JSON (${error.message})`, expected)
  }
}
