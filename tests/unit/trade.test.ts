import { bikeFrom, catalogue } from '#catalogue'
import { bikeKinds, defaultFasteners, expandTemplate, traitsOf, type Bike } from '#core/bike'
import { engagementOf } from '#core/fit'
import type { Fix } from '#core/fix'
import { appliesTo } from '#core/hazard'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import { stances } from '#core/stances'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { taken, tripOn } from '../roads/road'

/** Rows of the tables of the page: what is said, the ids it names, and its reason. */
const rows = readFileSync('docs/trade.md', 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| What happens |'))
  .filter((line) => !/^\| (School|Piece|What riders say) \|/.test(line))
  .map((line) => {
    const [, said = '', ids = '', reason = ''] = line.split('|').map((cell) => cell.trim())
    return { said, ids: [...ids.matchAll(/`([^`]+)`/g)].map(([, id = '']) => id), reason }
  })
const named = new Set(rows.flatMap(({ ids }) => ids))
const { hazards, fixes, items, jobs } = catalogue

/** A bike of each kind, and such as have what no kind has from the start. */
const bikes: Bike[] = bikeKinds.flatMap((kind) => {
  const bike = bikeFrom(kind, kind)
  const more: Bike = {
    ...bike,
    hangerOfFrame: true,
    camp: { tent: true, mat: true },
    leatherSaddle: true,
    pedals: 'two-bolt',
    shifting: bike.gears === 'derailleur' ? 'electric' : bike.shifting,
  }
  return [bike, { ...more, fasteners: defaultFasteners(more, catalogue.bikes) }]
})
const tyresOf = (bike: Bike) => [bike.tyres.front, bike.tyres.rear]
const fits = (fix: Fix, bike: Bike) => tyresOf(bike).some((tyre) => appliesTo(fix.applies, traitsOf(bike, tyre)))

describe('what the trade knows', () => {
  it('is in the catalogue, or there is a reason why not', () => {
    expect(rows.length).toBeGreaterThan(110)
    for (const { said, ids, reason } of rows) expect(ids.length > 0 || reason !== '', said).toBe(true)
  })
  it('names nothing that is not there', () => {
    const all = [hazards, fixes, items, jobs, stances].flatMap((list) => list.map(({ id }) => id))
    expect([...named].filter((id) => !all.includes(id))).toEqual([])
  })
  it('names every hazard of the catalogue', () => {
    expect(hazards.map(({ id }) => id).filter((id) => !named.has(id))).toEqual([])
  })
  it('says why of everything that answers nothing', () => {
    const idle = items.filter((item) => !answersSomething(item.id)).map(({ id }) => id)
    for (const id of idle) {
      const row = rows.find(({ ids }) => ids.includes(id))
      expect(row?.reason, id).toBeTruthy()
    }
    expect(idle.sort()).toEqual(['gloves', 'head-lamp'])
  })
})

const answersTo = (id: string) => fixes.filter((fix) => fix.answers.includes(id))
const isByHand = ({ needs, turns, torques, uses, air }: Fix) =>
  needs.length + turns.length + torques.length + Object.keys(uses).length === 0 && air === undefined

/** Whether a thing is used up by a fix, does what a fix needs, or gets hold of a fastener, on some bike. */
function answersSomething(id: string): boolean {
  const item = defined(items.find((each) => each.id === id))
  return bikes.some((bike) => {
    const mending = fixes.filter((fix) => fits(fix, bike))
    const classes = new Set(
      mending.flatMap((fix) =>
        [...Object.keys(fix.uses), ...fix.needs].flatMap((each) =>
          tyresOf(bike).map((tyre) => expandTemplate(each, bike, tyre)),
        ),
      ),
    )
    if ([...Object.keys(item.units), ...item.provides].some((each) => classes.has(each))) return true
    // A spare of a size that no kind of bike has from the start is one for other bikes.
    const families = Object.keys(item.units).map((unit) => unit.replace(/-[a-z0-9]+$/, ''))
    if (families.some((family) => [...classes].some((each) => each.replace(/-[a-z0-9]+$/, '') === family))) return true
    return item.heads.some((head) =>
      bike.fasteners.some(({ drive, counterhold }) =>
        [drive, counterhold].some((each) => each !== null && engagementOf(head, each, 1).verdict !== 'cannot'),
      ),
    )
  })
}

describe('each hazard', () => {
  const road = { lengthKm: 700, shopEveryKm: null, foodEveryKm: 700 }
  /** The best kit from what answers a hazard, where it comes often, and where it never comes. */
  function kits(id: string): [string[], string[]] {
    const hazard = defined(hazards.find((each) => each.id === id))
    const bike = defined(
      bikes.find((each) => {
        const tyres = tyresOf(each).some((tyre) => appliesTo(hazard.applies, traitsOf(each, tyre)))
        return tyres && (!hazard.fastener || each.fasteners.some(({ role }) => role === hazard.fastener))
      }),
      id,
    )
    const answers = answersTo(id).filter((fix) => fits(fix, bike))
    const words = answers.flatMap((fix) =>
      [...fix.needs, ...Object.keys(fix.uses)].flatMap((each) =>
        tyresOf(bike).map((tyre) => expandTemplate(each, bike, tyre)),
      ),
    )
    const stock = [...new Set(answers.flatMap((fix) => Object.keys(fix.uses)))].map((each) => {
      const unit = expandTemplate(each, bike, bike.tyres.rear)
      return { ...taken('boot'), id: `spare-${unit}`, name: unit, from: null, massG: 10, units: { [unit]: 99 } }
    })
    const tools = items.filter((item) => item.heads.length > 0 || item.provides.some((each) => words.includes(each)))
    const trip = tripOn({ ...road, bike: () => bike })
    const often: Record<string, number> = {}
    for (const each of hazards) {
      if (each.kind === 'sudden') often[`hazards.${each.id}.per1000km`] = 0
      else often[`hazards.${each.id}.lifeKm`] = 1_000_000
    }
    const never = { ...often }
    if (hazard.kind === 'sudden') often[`hazards.${id}.per1000km`] = 20
    else often[`hazards.${id}.lifeKm`] = 100
    const bench = [...tools.map((item) => taken(item.id)), ...stock]
    return [often, never].map((planning) => {
      const planned = { ...trip, bench, dials: { ...trip.dials, planning, gramsPerHour: 2000 } }
      const { ledger } = ledgerOfTrip(planned, surveyRoad(trip.road.points), catalogue)
      const { counts } = KitSearch.forLedger(indexLedger(ledger)).best()
      return counts.flatMap((count, i) => (count > 0 ? [nth(ledger.items, i).id] : []))
    }) as [string[], string[]]
  }
  // Of a threaded headset the two spanners are too large to carry. Common practice, no source.
  const withoutTools = ['headset-loose']
  const byHand = hazards.map(({ id }) => id).filter((id) => withoutTools.includes(id) || answersTo(id).every(isByHand))
  it.each(hazards.map(({ id }) => id).filter((id) => !byHand.includes(id)))(
    'moves what is packed on some road: %s',
    (id) => {
      const [often, never] = kits(id)
      expect(often.length).toBeGreaterThan(never.length)
    },
  )
  it('that only hands answer is one of few', () => {
    expect(byHand.sort()).toEqual(['dropout-bent', 'headset-loose', 'hydraulic-down'])
  })
})
