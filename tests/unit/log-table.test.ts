import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { inOrder, logAsTable, logFromTable, logSchema, type Log } from '#core/log'
import { entryInWords } from '#wording'
import fc from 'fast-check'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

const trip = demoTrip()
const rider = nth(trip.crew, 0).id
const thing = nth(trip.bench, 0)
const stop = nth(trip.stops, 1)
const log: Log = logSchema.parse([
  {
    id: 'a',
    at: '2026-06-12T08:30',
    roadKm: 0,
    kind: 'set off',
    carried: [{ rider, thing: thing.id, count: 2, bag: 'tin' }],
  },
  {
    id: 'b',
    at: '2026-06-13T09:00',
    roadKm: 40.25,
    by: rider,
    kind: 'failed',
    hazard: 'tubeless-hole',
    bikeId: 'fox',
    wheel: 'rear',
    ending: 'mended',
    tries: [{ fix: 'plug-hole', by: rider, could: true, held: true, minutes: 12, took: [thing.id] }],
  },
  { id: 'c', at: '2026-06-13T10:00', kind: 'gone', why: 'lost', spent: [{ thing: thing.id, amount: 1 }] },
  {
    id: 'd',
    at: '2026-06-13T11:00',
    kind: 'got',
    how: 'given',
    name: 'A strap',
    count: 2,
    note: 'by a "farmer", kind',
  },
  { id: 'e', at: '2026-06-13T12:00', kind: 'loose', bikeId: 'fox', fastener: null, name: 'rack bolt' },
  { id: 'f', at: '2026-06-13T13:00', kind: 'renewed', bikeId: 'fox', hazard: 'chain-dry' },
  { id: 'g', at: '2026-06-13T14:00', roadKm: stop.roadKm, kind: 'passed', stop: stop.id },
  { id: 'h', at: '2026-06-13T15:00', kind: 'shop', stop: stop.id, service: 'bike-shop', found: 'gone' },
  { id: 'i', at: '2026-06-13T20:00', kind: 'evening', did: ['lube'] },
  {
    id: 'k',
    at: '2026-06-13T20:30',
    kind: 'put away',
    things: [{ thing: 'tube', uses: 1, gone: 1, spent: { 'tube-622': 1 } }],
  },
  { id: 'j', at: '2026-06-13T21:00', kind: 'note', note: '=SUM(A1)\nrain, "all" day' },
])

describe('a log as a table', () => {
  it('is read back the same, every kind of entry, and in the order of what happened', () => {
    expect(logFromTable(logAsTable(log))).toEqual(log)
    expect(logFromTable(logAsTable(log.toReversed()))).toEqual(inOrder(log))
    expect(logFromTable(`\uFEFF${logAsTable(log)}`)).toEqual(log)
    expect(logFromTable(logAsTable([]))).toEqual([])
  })

  it('holds no cell that another program takes for a formula, and any note comes back as it was', () => {
    expect(logAsTable(log)).toContain("'=SUM(A1)")
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (note) => {
        const entry = logSchema.parse([{ id: 'n', at: '2026-06-13T21:00', kind: 'note', note }])
        expect(logFromTable(logAsTable(entry))).toEqual(entry)
      }),
    )
  })

  it.each([
    ['at,kind\n2026-06-13T21:00,note', /first line.*without id/],
    [`${logAsTable(log).split('\r\n')[0]}\r\na,2026-06-13T21:00,,,failed,,{oops`, /line 2, more/],
    [`${logAsTable(log).split('\r\n')[0]}\r\na,yesterday,,,note,,`, /at.*yesterday/],
    [`${logAsTable(log).split('\r\n')[0]}\r\na,2026-06-13T21:00,far,,note,,`, /roadKm/],
  ])('refuses %j and says where', (text, said) => {
    expect(() => logFromTable(text)).toThrow(said)
  })
})

it('every kind of entry is said in a line', () => {
  const said = log.map((entry) => entryInWords(entry, trip, catalogue))
  expect(said).toEqual([
    'set off with 2 pieces',
    'rear hole that sealant does not close: mended, plug the hole, pump',
    `lost: ${thing.name}`,
    'given: 2 × A strap',
    'found loose: rack bolt',
    expect.stringContaining('made new: '),
    `came to ${stop.name}`,
    expect.stringMatching(/: gone$/),
    'looked after in the evening: 1',
    'put away in the shed: one thing',
    '=SUM(A1)\nrain, "all" day',
  ])
  const strange = logSchema.parse([
    { id: 's', at: '2026-06-13T21:00', kind: 'failed', hazard: 'puncture', bikeId: null, ending: 'walked' },
  ])
  expect(entryInWords(nth(strange, 0), trip, catalogue)).toMatch(/on a stranger’s bike: on foot$/)
})
