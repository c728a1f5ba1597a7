import { naismithHours, toblerKmPerHour, walkingMethods } from '../core/road'
import { Fault } from '../core/fault'
import { numberOption, UsageError, wordsOf } from './usage'

/** Single reckonings, each with its own inputs. */
export function calc([what, ...words]: string[]): unknown {
  if (what !== 'push-out') throw new UsageError(what ? `“${what}” is not something to reckon` : 'say what to reckon')
  return calcPushOut(words)
}

/** Walking out over a distance with an even climb, with and without a bike to push. */
function calcPushOut(words: string[]): unknown {
  const { values, positionals } = wordsOf(words, {
    km: { type: 'string' },
    'climb-m': { type: 'string' },
    method: { type: 'string' },
    factor: { type: 'string' },
  } as const)
  if (positionals.length > 0) throw new UsageError(`“${positionals[0]}” is not expected here`)
  const km = numberOption(values.km, 'km', 0, 10_000)
  const climbM = numberOption(values['climb-m'] ?? '0', 'climb-m', 0, 100_000)
  const factor = numberOption(values.factor ?? '1.15', 'factor', 1, 4)
  const method = walkingMethods.find((known) => known === (values.method ?? 'naismith'))
  if (!method) throw new Fault('--method', `“${values.method}”`, walkingMethods.join(' or '))
  const walkH = method === 'naismith' || km === 0 ? naismithHours(km, climbM) : km / toblerKmPerHour(climbM / 1000 / km)
  return { method, km, climbM, walkH, factor, pushOutH: walkH * factor }
}
