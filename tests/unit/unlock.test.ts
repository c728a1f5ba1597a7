import { CostsOfFailing } from '#core/availability'
import type { Thing } from '#core/bench'
import { indexLedger } from '#core/ledger'
import { KitSearch } from '#core/search'
import { surveyRoad } from '#core/road'
import { fixOf, ledgerOfTrip } from '#core/trip-ledger'
import { withCatalogue, whatIsLacking, type Lacking } from '#core/unlock'
import { nth } from '#core/validation'
import { failureInWords, fixInWords, timesInWords } from '#wording'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'
import { taken } from '../roads/road'

const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
function lackingOn(bench: Thing[], carried?: Record<string, number>): { found: Lacking[]; search: KitSearch } {
  const trip = { ...demo, bench }
  const costs = new CostsOfFailing(trip, survey, catalogue)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue, costs)
  const search = KitSearch.forLedger(indexLedger(ledger))
  const { counts } = search.best()
  const named = Object.fromEntries(ledger.items.map(({ id }, i) => [id, nth(counts, i)]))
  return {
    found: whatIsLacking(withCatalogue(trip, survey, catalogue, costs), demo.dials.gramsPerHour, carried ?? named),
    search,
  }
}

describe('what a bench lacks', () => {
  it('where it is empty is all that a flat asks for at once: something for air, a lever, a tube', () => {
    const { found } = lackingOn([])
    const ids = nth(found, 0).items.map(({ id }) => id)
    expect(ids.some((id) => id.endsWith('pump'))).toBe(true)
    expect(ids.some((id) => id.startsWith('lever'))).toBe(true)
    expect(ids.some((id) => id.startsWith('tube'))).toBe(true)
    expect(found.map(({ worthH }) => worthH)).toEqual([...found.map(({ worthH }) => worthH)].sort((a, b) => b - a))
  })

  it('where only the pumps are lacking is a pump, and what lies there for it', () => {
    const bench = demo.bench.filter(({ provides }) => !provides.includes('inflate-presta'))
    const best = nth(lackingOn(bench).found, 0)
    expect(best.items).toEqual([{ id: 'mini-pump', count: 1 }])
    expect(best.savedH).toBeGreaterThan(0.5)
    expect(nth(best.events, 0).savedH).toBeGreaterThan(0)
    expect(best.events.reduce((sum, { savedH }) => sum + savedH, 0)).toBeLessThanOrEqual(best.savedH + 0.1)
  })

  it('is worth what the kit saves more with it on the bench', () => {
    // With pliers on it: else the rag would be told together with some.
    const laid = [...demo.bench, taken('pliers-tiny')]
    const bench = laid.filter(({ id }) => id !== 'rag')
    const { found, search } = lackingOn(bench)
    const rag = found.find(({ items }) => items.length === 1 && nth(items, 0).id === 'rag')
    const whole = { ...demo, bench: laid }
    const { ledger } = ledgerOfTrip(whole, survey, catalogue)
    const kit = search.best()
    const counts = new Map(search.problem.ledger.items.map(({ id }, i) => [id, nth(kit.counts, i)]))
    const withIt = KitSearch.forLedger(indexLedger(ledger))
    const at = (more: Record<string, number>) =>
      withIt.choice(ledger.items.map(({ id }) => (counts.get(id) ?? 0) + (more[id] ?? 0))).promiseH
    const more = Object.fromEntries([['rag', 1], ...(rag?.fromBench ?? []).map(({ id, count }) => [id, count])])
    expect(rag?.savedH).toBeCloseTo(at({}) - at(more), 2)
  })

  it('names nothing that lies there already', () => {
    const on = new Set(demo.bench.map(({ from }) => from))
    for (const { items } of lackingOn(demo.bench).found) for (const { id } of items) expect(on.has(id)).toBe(false)
  })
})

describe('the ledger’s words', () => {
  it('say which fix is done, and that a wrench is borrowed', () => {
    expect(fixOf('swap-tube@tube-622/light@mini-pump')).toBe('swap-tube')
    expect(fixInWords('swap-tube@tube-622/light', catalogue)).toBe('fit the spare tube, pump')
    expect(fixInWords('tighten-headset-nut@wrench', catalogue)).toMatch(/, with a borrowed wrench$/)
  })

  it('say what fails, where on the bike, and how often', () => {
    const { notes } = ledgerOfTrip(demo, survey, catalogue)
    const words = notes.map((note) => failureInWords(note, catalogue, demo.bikes))
    expect(words).toContain('rear flat: thorn, glass or pinch')
    expect(words.some((each) => /rack bolt.*: .*stay/.test(each))).toBe(true)
    expect([0, 0.004, 0.09, 0.31, 2.44, 14.2].map(timesInWords)).toEqual([
      'never',
      'once in 250 trips',
      'once in 11 trips',
      '0.31 a trip',
      '2.4 a trip',
      '14 a trip',
    ])
  })
})
