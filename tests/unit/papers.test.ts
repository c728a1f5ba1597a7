import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { ridingBarOf } from '#core/air'
import { CostsOfFailing } from '#core/availability'
import { identitySchema, hasIdentity, noIdentity } from '#core/identity'
import { indexLedger } from '#core/ledger'
import { bestPacking, packOfTrip, plansOf, usesOfKit } from '#core/pack'
import { papersOf, tinCard, type Papers } from '#core/papers'
import { demandOf, PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { bestSplit, planOf, splitOfTrip } from '#core/split'
import type { Trip } from '#core/trip'
import { fixOf, ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { paperDocument, sheetIds, type Printing } from '#paper'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Html, html } from '../../paper/html'
import { once } from '../once'

/** The papers of a trip with its best kit, and how many of each thing all carry. */
function gathered(trip: Trip): { papers: Papers; counts: readonly number[] } {
  const survey = surveyRoad(trip.road.points)
  const costs = new CostsOfFailing(trip, survey, catalogue)
  const laid = ledgerOfTrip(trip, survey, catalogue, costs)
  const { counts } = bestKit(indexLedger(laid.ledger))
  if (trip.crew.length === 0) {
    const none = trip.bench.map(() => 0)
    return { papers: papersOf(trip, catalogue, costs, laid, none, []), counts: none }
  }
  const split = planOf(bestSplit(splitOfTrip(trip, survey, catalogue, laid, counts)))
  const packed = packOfTrip(trip, catalogue, usesOfKit(trip, laid, split.counts), split).map(({ bikeId, problem }) => ({
    bike: defined(trip.bikes.find(({ id }) => id === bikeId)),
    state: bestPacking(problem),
  }))
  const packs = plansOf(packed, catalogue.containers)
  return { papers: papersOf(trip, catalogue, costs, laid, split.counts, packs), counts: split.counts }
}
const demo = demoTrip()
const ofDemo = once(() => gathered(demo))
const printing: Printing = {
  format: 'a4',
  sheets: sheetIds,
  system: 'metric',
  address: 'http://127.0.0.1:3000/trips/x/ready',
  identity: null,
}
const names = { ...catalogue, bikes: demo.bikes }

describe('what goes on paper', () => {
  it('is every piece of the kit, as often as it is carried, and no gram more', () => {
    const { papers, counts } = ofDemo()
    const lines = papers.kits.flatMap(({ places, loose }) => [...places.flatMap((place) => place.lines), ...loose])
    demo.bench.forEach(({ name, massG }, i) => {
      const own = lines.filter((line) => line.name === name)
      expect(
        own.reduce((sum, { count }) => sum + count, 0),
        name,
      ).toBe(nth(counts, i))
      for (const { count, massG: inAll } of own) expect(inAll).toBeCloseTo(count * massG, 9)
    })
    const massG = demo.bench.reduce((sum, thing, i) => sum + thing.massG * nth(counts, i), 0)
    expect(papers.kits.reduce((sum, kit) => sum + kit.massG, 0)).toBeCloseTo(massG, 6)
    for (const { places, loose, massG: ofBike } of papers.kits)
      expect(
        [...places, { massG: loose.reduce((sum, each) => sum + each.massG, 0) }].reduce(
          (sum, each) => sum + each.massG,
          0,
        ),
      ).toBeCloseTo(ofBike, 9)
  })
  it('is what fails most by hours, with things that are packed where it says', () => {
    const { papers } = ofDemo()
    expect(papers.failures.length).toBeGreaterThan(5)
    for (let i = 1; i < papers.failures.length; i++)
      expect(nth(papers.failures, i).atStakeH).toBeLessThanOrEqual(nth(papers.failures, i - 1).atStakeH)
    const flat = defined(papers.failures.find(({ hazard }) => hazard === 'puncture'))
    expect(flat.fixes.length).toBeGreaterThan(0)
    const taken = papers.failures.flatMap(({ fixes }) => fixes.flatMap(({ things }) => things))
    expect(taken.map(({ name }) => name)).toContain('Mini pump')
    for (const { name, where } of taken) {
      const kit = papers.kits.find(({ bike }) => bike === where?.bike)
      const place = kit?.places.find((each) => each.name === where?.place)
      expect(
        place?.lines.map((line) => line.name),
        name,
      ).toContain(name)
    }
    // What is patched wants the patches and something to pump with.
    const patching = defined(flat.fixes.find(({ fix }) => fix === 'patch-tube'))
    expect(patching.things.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Patch kit, glued, 6 patches', 'Mini pump']),
    )
  })
  it('is every stop in the order of the road, and where each kind of part is to be had', () => {
    const { papers } = ofDemo()
    expect(papers.stops.map(({ name }) => name)).toEqual(
      [...demo.stops].sort((a, b) => a.roadKm - b.roadKm).map(({ name }) => name),
    )
    const tube = defined(papers.gaps.find(({ classId }) => classId === 'tube-622'))
    expect(tube.gaps.map(({ fromKm, toKm }) => Math.round(toKm - fromKm))).toEqual([71, 240, 238, 72])
    // Where a gap ends something is to be had, and nowhere inside of one.
    for (const { classId, gaps, places } of papers.gaps) {
      const ends = gaps.flatMap(({ fromKm, toKm }) => [fromKm, toKm])
      for (const { roadKm } of places) expect(ends, classId).toContain(roadKm)
    }
  })
  it('is of each failure what is tried, in all its ways together', () => {
    const { papers, counts } = ofDemo()
    const { ledger, notes } = ledgerOfTrip(demo, surveyRoad(demo.road.points), catalogue)
    const indexed = indexLedger(ledger)
    const demand = demandOf(indexed)
    const promise = new PromiseEvaluator(indexed, demand).settled(counts)
    const tried = notes.flatMap(({ event, hazard, bike }) =>
      demand.streams.flatMap((stream, number) =>
        stream.event.id === event
          ? promise.account(number).fixes.map(({ tried: times }, f) => ({
              key: `${hazard} ${bike} ${fixOf(nth(stream.event.fixes, f).id)}`,
              times,
            }))
          : [],
      ),
    )
    const cards = papers.failures.flatMap(({ hazard, bikeId, fixes }) =>
      fixes.map(({ fix, times }) => ({ key: `${hazard} ${bikeId} ${fix}`, times })),
    )
    expect(cards.length).toBeGreaterThan(10)
    for (const { key, times } of cards)
      expect(times, key).toBeCloseTo(
        tried.reduce((sum, each) => (each.key === key ? sum + each.times : sum), 0),
        9,
      )
    expect(new Set(tried.map(({ key }) => key)).size).toBeLessThan(tried.length)
  })
  it('is of each bike what its passport says', () => {
    for (const bike of demo.bikes) {
      const card = tinCard(bike)
      expect(card.tyres.map(({ bar }) => bar)).toEqual([ridingBarOf(bike.tyres.front), ridingBarOf(bike.tyres.rear)])
      expect(card.spokes).toHaveLength(4)
      expect(card.bolts.map(({ name }) => name)).toEqual(
        bike.fasteners.filter(({ torqueNm }) => torqueNm.most > 0).map(({ name }) => name),
      )
    }
  })
  it('of a trip without riders, or without a bench, is what there is', () => {
    expect(gathered({ ...demo, crew: [], bikes: [] }).papers).toMatchObject({ kits: [], tins: [], failures: [] })
    expect(gathered({ ...demo, bench: [] }).papers.kits.map(({ massG }) => massG)).toEqual([0, 0])
    const page = paperDocument(gathered({ ...demo, crew: [], bikes: [], stops: [] }).papers, names, printing)
    expect(page).toContain('There is no kit yet.')
    expect(page).toContain('No stop is known')
  })
})

describe('a page for paper', () => {
  const said = { ...noIdentity, name: 'Maren Quern', blood: '0 negative', contact: 'Ansel, +00 123' }
  it('has the sheets that were asked for, and no other', () => {
    const { papers } = ofDemo()
    const titles = {
      kit: 'The kit',
      tin: 'Cards for the tin',
      road: 'Stops, shops and gaps',
      exits: 'Ways out',
      mend: 'What to do when it fails',
      identity: 'Who I am',
    }
    for (const id of sheetIds) {
      const page = paperDocument(papers, names, { ...printing, sheets: [id], identity: said })
      const found = Object.entries(titles).filter(([, title]) => page.includes(`<h1>${title}</h1>`))
      expect(found.map(([sheet]) => sheet)).toEqual([id])
    }
  })
  it('says who one is only where that was asked for', () => {
    const { papers } = ofDemo()
    expect(paperDocument(papers, names, { ...printing, identity: null })).not.toContain('Who I am')
    const page = paperDocument(papers, names, { ...printing, identity: said })
    expect(page).toContain('0 negative')
    expect(page).not.toContain('<dt>Allergies</dt>')
  })
  it('fetches nothing and runs nothing, whatever things are called', () => {
    const nasty = '<script>alert(1)</script><img src=x onerror="a()">&"\''
    const bench = demo.bench.map((thing) => ({ ...thing, name: nasty }))
    const { papers } = gathered({ ...demo, name: nasty, bench })
    const page = paperDocument(papers, names, { ...printing, identity: { ...said, name: nasty } })
    expect(page).not.toMatch(/<(script|img|link|iframe|object|a)\b/i)
    expect(page.match(/src=|href=/g) ?? []).toHaveLength(page.split('src=x').length - 1)
    expect(page).toContain('&lt;script&gt;')
  })
  it('is of the size of its paper', () => {
    const { papers } = ofDemo()
    expect(paperDocument(papers, names, printing)).toContain('@page { size: 210mm 297mm;')
    expect(paperDocument(papers, names, { ...printing, format: 'letter' })).toContain('@page { size: 215.9mm 279.4mm;')
  })
})

describe('pieces of a page', () => {
  it('are text unless they are pieces of a page: what was written in comes out again', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const { text: page } = html`<b title="${text}">${[text, null, 7]}</b>`
        const inside = page.slice(page.indexOf('>') + 1, -'7</b>'.length)
        expect(inside).not.toMatch(/[<>"']/)
        const back = inside
          .replaceAll('&lt;', '<')
          .replaceAll('&gt;', '>')
          .replaceAll('&quot;', '"')
          .replaceAll('&#39;', "'")
          .replaceAll('&amp;', '&')
        expect(back).toBe(text)
      }),
    )
    expect(html`${new Html('<i>')}${html`<u>${'<'}</u>`}`.text).toBe('<i><u>&lt;</u>')
  })
})

describe('a card that says who one is', () => {
  it('asks for nothing, and takes no novel', () => {
    expect(identitySchema.parse({})).toEqual(noIdentity)
    expect(hasIdentity(noIdentity)).toBe(false)
    expect(hasIdentity({ ...noIdentity, blood: ' ' })).toBe(false)
    expect(hasIdentity({ ...noIdentity, blood: 'A' })).toBe(true)
    expect(identitySchema.safeParse({ allergies: 'x'.repeat(601) }).success).toBe(false)
    expect(identitySchema.safeParse({ name: 'x'.repeat(1_000_000) }).success).toBe(false)
  })
})
