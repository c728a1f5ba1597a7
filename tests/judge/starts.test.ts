import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { canSignIn, DemoFolder, post } from '../scripts/demo-folder'
import { judged, share } from './judged'

const signals = ['SIGINT', 'SIGTERM', 'SIGKILL'] as const
const moments = 10
const signUp = { name: 'Ketil', email: 'ketil@quern.example', password: 'ketil rides far' }
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms))

let folder: DemoFolder
/** So long a start takes until it serves, ms. */
let takes: number

async function begin(args: readonly string[] = []): Promise<string> {
  const demo = folder.start('demo', args)
  return folder.serving(demo)
}

beforeAll(async () => {
  folder = new DemoFolder()
  const address = await begin()
  expect((await post(address, '/api/account', signUp)).ok).toBe(true)
  await folder.endAll()
  const begun = performance.now()
  await begin()
  takes = performance.now() - begun
  await folder.endAll()
})
afterAll(() => folder?.remove())

describe('a start that is interrupted', () => {
  it('at whichever moment leaves nothing running, and the next one has all data', async () => {
    const all = signals.flatMap((signal) => Array.from({ length: moments }, (_, moment) => ({ signal, moment })))
    const step = Math.round(1 / share)
    // In ./test each signal at another moment.
    const tried = all.filter((_, i) => step === 1 || i % moments === (3 + 4 * Math.floor(i / moments)) % moments)
    for (const { signal, moment } of tried) {
      const where = `${signal} at moment ${moment} of ${moments}`
      const demo = folder.start('demo')
      await wait((takes * (moment + 0.5)) / moments)
      demo.process.kill(signal)
      await demo.ended
      expect(await folder.left(), where).toEqual([])
      expect(await canSignIn(await begin(), signUp), where).toBe(true)
      await folder.endAll()
      expect(await folder.left(), where).toEqual([])
    }
    judged('starts', [
      `A start of the demo interrupted ${tried.length} times, by INT, TERM and KILL at ${moments} moments each: no process was left, and the next start had all data.`,
    ])
  })

  it('while the server’s data are laid down, leaves nothing by halves', async () => {
    // The laying down is somewhere in the first half of a start from nothing.
    for (const [i, signal] of signals.entries()) {
      const demo = folder.start('demo', ['--fresh'])
      await wait(takes * (0.25 + 0.15 * i))
      demo.process.kill(signal)
      await demo.ended
      expect(await folder.left(), signal).toEqual([])
    }
    expect((await post(await begin(), '/api/account', { ...signUp, email: 'other@quern.example' })).ok).toBe(true)
    await folder.endAll()
  })

  it('while the app is built, leaves no builder and no half of a build', async () => {
    const building = new DemoFolder(['.output'])
    for (const signal of share === 1 ? signals : signals.slice(2)) {
      const demo = building.start('demo')
      await expect.poll(demo.said, { timeout: 20_000 }).toContain('Building the app')
      await wait(4000)
      demo.process.kill(signal)
      await demo.ended
      expect(await building.left(), signal).toEqual([])
      expect(building.has('.output/sources.sha256')).toBe(false)
    }
    await building.remove()
  })
})
