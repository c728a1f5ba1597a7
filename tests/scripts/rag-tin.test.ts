import { spawnSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { quickFolder } from '../quick-folder'

const folder = quickFolder('rag-tin-command-')
const trip = join(folder, 'trip.json')
/** The command as a program of its own. */
function start(args: string[], input = '') {
  return spawnSync(process.execPath, ['--import', 'tsx', 'cli/rag-tin.ts', ...args], { encoding: 'utf8', input })
}
beforeAll(() => {
  writeFileSync(trip, JSON.stringify(demoTrip()))
})
afterAll(() => {
  rmSync(folder, { recursive: true })
})

describe('the rag-tin command', () => {
  it('prints what it found and ends with 0, from a file or from standard input', () => {
    const fromFile = start(['gaps', trip])
    expect(fromFile).toMatchObject({ status: 0, stderr: '' })
    expect(JSON.parse(fromFile.stdout).pushOut.worstH).toBeGreaterThan(10)
    expect(start(['gaps', '-'], JSON.stringify(demoTrip())).stdout).toBe(fromFile.stdout)
  })
  it('prints what was wrong to standard error only, and ends with 2', () => {
    expect(start(['kit', '-'], '{"format":"rag-tin.trip/6"}')).toMatchObject({
      status: 2,
      stdout: '',
      stderr: expect.stringMatching(/^name: nothing; expected /),
    })
    expect(start([])).toMatchObject({ status: 2, stdout: '', stderr: expect.stringMatching(/^usage:/) })
  })
})
