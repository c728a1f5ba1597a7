import { defined, nth } from '#core/validation'
import { fitView } from '#core/fit'
import { indexLedger } from '#core/ledger'
import { KitSearch } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { explainKit } from '#core/verdicts'
import { surveyRoad } from '#core/road'
import type { Trip } from '#core/trip'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import fc from 'fast-check'
import { FetchError } from 'ofetch'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { linesOf, statusOf } from '../../app/http/api'
import { stages, useStageNeeds } from '../../app/composables/useStages'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { useVerdicts } from '../../app/stores/verdicts'
import { cutToWidth } from '../../app/drawing/cut-to-width'
import { planLabels } from '../../app/drawing/road-plan-labels'
import { stripLabels, stripTitleX } from '../../app/drawing/road-strip-labels'
import { useKitStore } from '../../app/stores/kit'
import { useSelection } from '../../app/stores/selection'
import { useTripStore } from '../../app/stores/trip'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow } from '../fake-world'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))

/** Opens a trip in the store, from a server that has it. */
async function open(trip: Trip): Promise<void> {
  const server = new FakeServer()
  server.begin('t', trip)
  const { sessions } = new FakeWindow(new FakeDevice(), server, new FakeTimers())
  vi.mocked(useTripSessions).mockResolvedValue(sessions)
  await useTripStore().open('t')
}

/** What the server answers when it refuses: a status, and data for the one who asked. */
function refusal(status: number | undefined, data: object = {}): FetchError {
  return Object.assign(new FetchError(`answered ${status}`), { statusCode: status, data: { data } })
}

vi.mock('comlink', () => ({ proxy: vi.fn(), wrap: vi.fn() }))

describe('names on the plan', () => {
  const stop = (id: string, x: number, y: number, helps = true, name = id) => ({ id, name, x, y, helps })
  const size = { width: 600, height: 300 }
  const nothing: Parameters<typeof planLabels>[4] = { line: [], taken: [] }
  const labels = (stops: ReturnType<typeof stop>[], beside = nothing) =>
    planLabels(stops, size.width, size.height, 7, beside)
  const box = ({ text, x, y }: ReturnType<typeof planLabels>[number]) => ({
    left: x,
    right: x + text.length * 6.1,
    top: y - 10,
    bottom: y + 3,
  })

  it('stand where the line does not run, where there is such a place, and never where something else is written', () => {
    const line = Array.from({ length: 60 }, (_, i) => ({ x: 200 + 2 * i, y: 150 }))
    expect(box(defined(labels([stop('Aber', 200, 150)], { line, taken: [] })[0])).right).toBeCloseTo(193)
    const everywhere = Array.from({ length: 6000 }, (_, i) => ({ x: 140 + (i % 120), y: 120 + Math.floor(i / 100) }))
    expect(labels([stop('Aber', 200, 150)], { line: everywhere, taken: [] })).toHaveLength(1)
    const taken = [{ x: 100, y: 100, width: 200, height: 100 }]
    expect(labels([stop('Aber', 200, 150)], { line: [], taken })).toEqual([])
  })

  it('stand to the right of their mark, and to the left near the right edge', () => {
    const [middle, edge] = labels([stop('Aber', 200, 150), stop('Brae', 590, 150)])
    expect(box(defined(middle)).left).toBe(207)
    expect(box(defined(edge)).right).toBeCloseTo(583)
  })
  it('of places of help come first', () => {
    const crowd = [stop('hut', 300, 150, false), ...Array.from({ length: 8 }, (_, i) => stop(`shop ${i}`, 300, 150))]
    expect(labels(crowd).map(({ id }) => id)).not.toContain('hut')
  })
  it('never cover one another or another’s mark, nor leave the plan', () => {
    const stops = fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 600 }),
        fc.integer({ min: 0, max: 300 }),
        fc.boolean(),
        fc.string({ minLength: 1 }),
      ),
      { maxLength: 60 },
    )
    fc.assert(
      fc.property(stops, (list) => {
        const all = list.map(([x, y, helps, name], i) => stop(String(i), x, y, helps, name))
        const boxes = labels(all).map((label) => ({ id: label.id, ...box(label) }))
        for (const [i, box] of boxes.entries()) {
          expect(Math.min(box.left, box.top)).toBeGreaterThanOrEqual(-1e-9)
          expect(box.right).toBeLessThanOrEqual(size.width + 1e-9)
          expect(box.bottom).toBeLessThanOrEqual(size.height + 1e-9)
          for (const other of boxes.slice(i + 1)) {
            const apart =
              box.right <= other.left || other.right <= box.left || box.bottom <= other.top || other.bottom <= box.top
            expect(apart).toBe(true)
          }
          const covers = all.some(
            ({ id, x, y }) => id !== box.id && x > box.left && x < box.right && y > box.top && y < box.bottom,
          )
          expect(covers).toBe(false)
        }
      }),
    )
  })
})

describe('names under the strip', () => {
  const stop = (id: string, x: number, weight = 1, name = id) => ({ id, name, x, weight })
  /** Room a label takes, wide enough for the face the strip is set in. */
  const span = ({ text, x, anchor }: ReturnType<typeof stripLabels>[number]): [number, number] => {
    const length = text.length * 6.3
    const from = anchor === 'start' ? x : anchor === 'end' ? x - length : x - length / 2
    return [from, from + length]
  }

  it('stand under their stops where there is room', () => {
    const labels = stripLabels([stop('Aber', 200), stop('Brae', 600)], 1000)
    expect(labels.map(({ id, x, row, anchor }) => [id, x, row, anchor])).toEqual([
      ['Aber', 200, 0, 'middle'],
      ['Brae', 600, 0, 'middle'],
    ])
  })

  it('step aside to a second row, and the third of a crowd is left to the pointer', () => {
    const labels = stripLabels([stop('one', 500, 3), stop('two', 505, 2), stop('three', 510, 1)], 1000)
    expect(labels.map(({ id, row }) => [id, row])).toEqual([
      ['one', 0],
      ['two', 1],
    ])
  })

  it('of the weightiest come first, whatever their order', () => {
    const crowd = [stop('hut', 500, 1), stop('kiosk', 502, 2), stop('workshop', 504, 9)]
    expect(stripLabels(crowd, 1000).map(({ id }) => id)).toEqual(['workshop', 'kiosk'])
    expect(stripLabels(crowd.toReversed(), 1000).map(({ id }) => id)).toEqual(['workshop', 'kiosk'])
  })

  it('leave the title over the strip its side of it, beside what it names where that goes, or nothing', () => {
    const text = 'farthest from help: 21.7 h on foot at 391 km'
    expect(stripTitleX(text, 20, 1000)).toBe(29)
    expect(stripTitleX(text, 600, 1000)).toBe(609)
    for (let x = 0; x <= 640; x += 20) {
      const from = defined(stripTitleX(text, x, 640))
      const to = from + text.length * 5.8
      if (x < 320) expect([from >= 0, to <= 0.55 * 640]).toEqual([true, true])
      else expect([from >= 0.45 * 640, to <= 640]).toEqual([true, true])
    }
    expect(stripTitleX(text, 200, 390)).toBeUndefined()
  })

  it('too long are cut with a mark', () => {
    const [label] = stripLabels([stop('a', 500, 1, 'Saint Wendreda under the Long Fell')], 1000)
    expect(defined(label).text).toBe('Saint Wendreda under th…')
  })

  it('never overlap in a row, nor leave the strip', () => {
    const stops = fc.array(
      fc.record({
        id: fc.uuid(),
        name: fc.string({ minLength: 1, maxLength: 40 }),
        x: fc.integer({ min: 0, max: 900 }),
        weight: fc.integer({ min: 0, max: 9 }),
      }),
      { maxLength: 60 },
    )
    fc.assert(
      fc.property(stops, (some) => {
        const labels = stripLabels(some, 900)
        for (const row of [0, 1]) {
          const spans = labels.filter((label) => label.row === row).map(span)
          spans.sort(([a], [b]) => a - b)
          for (let i = 1; i < spans.length; i++) expect(nth(spans, i)[0]).toBeGreaterThanOrEqual(nth(spans, i - 1)[1])
        }
        for (const label of labels) {
          expect(span(label)[0]).toBeGreaterThanOrEqual(-1e-9)
          expect(span(label)[1]).toBeLessThanOrEqual(900 + 1e-9)
        }
      }),
    )
  })
})

describe('what the server says', () => {
  it('comes in its own lines where it gave any', () => {
    expect(linesOf(refusal(422, { lines: ['bench[0].massG: -1; expected more than 0'] }))).toEqual([
      'bench[0].massG: -1; expected more than 0',
    ])
  })
  it('that it does not answer, or answers with a bare number, is put in words', () => {
    expect(linesOf(refusal(undefined))[0]).toMatch(/Nothing is lost/)
    expect(linesOf(refusal(500))[0]).toMatch(/answered 500/)
    expect(linesOf(new FetchError('no network'))[0]).toMatch(/does not answer/)
  })
  it('other errors keep their own words', () => {
    expect(linesOf(new Error('quite another'))).toEqual(['quite another'])
    expect(linesOf('bare')).toEqual(['bare'])
    expect(statusOf(new Error('x'))).toBeUndefined()
    expect(statusOf(refusal(409))).toBe(409)
  })
})

describe('stages', () => {
  it('have keys of their own', () => {
    expect(new Set(stages.map(({ key }) => key)).size).toBe(stages.length)
  })

  it('say what they lack until it is there', async () => {
    const trip = demoTrip()
    const store = useTripStore()
    const needs = useStageNeeds()
    expect(needs.value.road).toBe('no road yet')
    await open({ ...trip, road: { ...trip.road, points: [] }, bench: [] })
    expect(needs.value).toEqual({
      road: 'no road yet',
      bikes: '',
      crew: '',
      bench: 'nothing on it',
      weigh: '',
      split: '',
      pack: '',
      ready: '',
      trail: '',
      'look-back': '',
    })
    store.edit('road', { road: trip.road, stops: [] })
    expect(needs.value.road).toBe('no stops yet')
    store.edit('rest', { stops: trip.stops, bench: trip.bench })
    expect(new Set(Object.values(needs.value))).toEqual(new Set(['']))
    store.edit('no bag', { bikes: trip.bikes.map((bike, i) => (i === 0 ? { ...bike, storage: [] } : bike)) })
    expect(needs.value.pack).toBe('no bag yet')
    store.edit('no bike', { bikes: [], crew: [] })
    expect(needs.value.bikes).toBe('no bike yet')
    expect(needs.value.crew).toBe('nobody yet')
  })
})

describe('weighed things', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const built = { ...ledgerOfTrip(trip, survey, catalogue), number: 0 }
  const kit = explainKit(built.ledger, KitSearch.forLedger(indexLedger(built.ledger)))
  const counts = new Map(built.ledger.items.map(({ id }, i) => [id, kit.counts[i]]))

  beforeEach(async () => {
    await open(trip)
    useKitStore().analysis = {
      lengthKm: survey.lengthKm,
      climbM: survey.climbM,
      profile: null,
      view: null,
      plan: null,
      availability: [],
      hoursAtStake: {},
      built,
      ride: null,
      wear: {},
      fit: fitView(trip.bikes, trip.bench, catalogue.items, trip.dials.handMostN),
    }
    useKitStore().weighed = { built, written: built, kit, problems: [] }
  })

  it('are all of the bench, those that come along apart from those that stay', () => {
    const { taken, left } = useVerdicts()
    expect(taken.value.length + left.value.length).toBe(trip.bench.length)
    for (const { thing } of taken.value) expect(counts.get(thing.id)).toBeGreaterThan(0)
    for (const { thing } of left.value) expect(counts.get(thing.id)).toBe(0)
  })

  it('stand in the order of the hours at risk', () => {
    for (const list of [useVerdicts().taken.value, useVerdicts().left.value]) {
      const hours = list.map((row) => row.hours)
      expect(hours).toEqual([...hours].sort((a, b) => b - a))
    }
  })

  it('count only a gap’s claims while one is looked at, and all again after', () => {
    const selection = useSelection()
    const { taken } = useVerdicts()
    const all = new Map(taken.value.map(({ thing, hours }) => [thing.id, hours]))
    selection.showClass('tube-622', { fromKm: 71, toKm: 311, km: 240 })
    for (const { thing, hours } of taken.value) expect(hours).toBeLessThanOrEqual(defined(all.get(thing.id)) + 1e-9)
    expect(taken.value.some(({ thing, hours }) => hours < defined(all.get(thing.id)) - 1e-6)).toBe(true)
    selection.clear()
    expect(new Map(taken.value.map(({ thing, hours }) => [thing.id, hours]))).toEqual(all)
  })

  it('a thing not analysed yet is in neither list', () => {
    const store = useTripStore()
    store.edit('new', { bench: [...trip.bench, { ...nth(trip.bench, 0), id: 'brand-new', name: 'New' }] })
    const { taken, left } = useVerdicts()
    expect([...taken.value, ...left.value].some(({ thing }) => thing.id === 'brand-new')).toBe(false)
  })
})

describe('a text cut to a width', () => {
  it('stays whole where it fits, and says where it was cut', () => {
    vi.stubGlobal('document', { createElement: () => ({ getContext: () => null }) })
    // Without anything to measure with, a letter of 10 px is 5.5 px broad.
    expect(cutToWidth('Brannock', 10, 44)).toBe('Brannock')
    expect(cutToWidth('Brannock', 10, 43.9)).toBe('Branno…')
    expect(cutToWidth('Brannock', 10, 1)).toBe('…')
    vi.unstubAllGlobals()
  })
})
