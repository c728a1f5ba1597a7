import { spawnSync } from 'node:child_process'
import fc from 'fast-check'
import { expect, it } from 'vitest'

const pieces = [
  ...[' ', '\t', '\n', '\u00a0', ';', ',', '||', '-', ':', '"', '(', ')', '/', '+', '…', 'a', 'é'],
  ...['08:00', '26:00', '8', '00', '10:00-16:00/90', '00:00-24:00', 'sunrise', '(sunset+01:00)', 'dawn-dusk'],
  ...['Mo', 'Mo-Fr', 'Mo[5]', '[-1]', 'PH', 'Jan', 'Dec 31', 'Feb 29', '2026', '2026/2', 'week', '01-53/2', '+3 days'],
  ...['easter -2 days', 'off', 'unknown', '24/7', '"comment"', 'und', 'bis', '88888'],
]
const piece = fc.constantFrom(...pieces)
/** What people may write in the field: all the words there are in any order, and one of them over and over. */
const written = fc
  .oneof(
    fc.array(piece, { maxLength: 60 }).map((words) => words.join('')),
    fc.array(piece, { maxLength: 8 }).map((words) => words.join(' ')),
    fc.tuple(piece, fc.integer({ min: 1, max: 60 }), piece).map(([word, times, end]) => word.repeat(times) + end),
  )
  .map((text) => text.slice(0, 200))

/** Reads hours in a process of their own, which can be ended where they never end. */
const reading = `
import { readFileSync } from 'node:fs'
import { readOpening } from './core/ride/index.ts'
console.log = console.warn = console.error = () => {}
for (const text of JSON.parse(readFileSync(0, 'utf8'))) {
  process.stdout.write(JSON.stringify(text) + '\\n')
  const opening = readOpening(text, { lat: 52, lon: 0, country: 'de' })
  if (!('error' in opening)) opening.opensFrom(29_700_000)
}`

it('hours of any text are read in an end, or said to be unreadable', () => {
  const blanks = [' '.repeat(26), `${' '.repeat(26)}Mo 08:00-12:00`, `${'; '.repeat(60)}x`, '888888Dec 31']
  const texts = [...blanks, ...fc.sample(written, { numRuns: 1000, seed: 11 })]
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', '--input-type=module', '--eval', reading],
    { input: JSON.stringify(texts), encoding: 'utf8', timeout: 25_000 },
  )
  expect(status, `the last one begun: ${stdout.trimEnd().split('\n').at(-1)}\n${stderr}`).toBe(0)
})
