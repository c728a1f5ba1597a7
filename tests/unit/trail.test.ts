import { catalogue, symptoms } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { CostsOfFailing } from '#core/availability'
import { logEntrySchema } from '#core/log'
import { surveyRoad } from '#core/road'
import { places } from '#core/hazard'
import {
  atThePlace,
  causesOf,
  onwardOf,
  ridersAt,
  triage,
  triageAmong,
  waysLeft,
  wearOf,
  whatIsLeft,
} from '#core/trail'
import { ledgerOfTrip, type LedgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { drawnOnward, hoursDrawn, firstByDefinition, triageOfAll } from '../drawn-states'
import { base, line, pushH, referenceWith } from '../level-road'
import { once } from '../once'
import { seeded } from '../seeded'

const at = '2026-06-14T12:00'

describe('by hand, on a level road with a shop at km 40', () => {
  const reference = referenceWith()
  const survey = surveyRoad(line)
  const laid = ledgerOfTrip(base, survey, reference)
  const kit = whatIsLeft(
    base,
    [
      { rider: 'r', thing: 'lever', count: 1, bag: '' },
      { rider: 'r', thing: 'tube', count: 2, bag: '' },
    ],
    reference,
  )
  const triageAt = (roadKm: number, left = kit) =>
    triage(onwardOf({ trip: base, survey, laid, kit: left, position: { roadKm, at } }, reference, ['r']), {
      hazard: 'flat',
      bikeId: 'b',
    })

  it('the way out is that from the very place, and being stranded has its price', () => {
    // Thirty km to the end, on foot; being stranded is worth three hours more.
    const { lossH, walkH } = triageAt(70)
    expect(walkH).toBeCloseTo(30 * pushH, 1)
    expect(lossH).toBeCloseTo(30 * pushH + 3, 1)
    // Two km from the end nobody is stranded: a share of the price that the share of three hours is.
    expect(triageAt(98).lossH).toBeCloseTo(2 * pushH * (1 + 3 / 3), 1)
    expect(triageAt(100).lossH).toBeLessThan(0.05)
  })

  it('what was tried often enough is not tried again, nor what the hands could not do once, whatever pump is used', () => {
    const { ways } = triageAt(70)
    const pumped = ways.map((way) => ({ ...way, fix: `${way.fix}@mini-pump` }))
    const tried = (could: boolean) => ({ fix: 'swap', could })
    expect(waysLeft(ways, [])).toEqual(ways)
    expect(waysLeft(pumped, [tried(true)])).toEqual(pumped)
    expect(waysLeft(pumped, [tried(true), tried(true)])).toEqual([])
    expect(waysLeft(pumped, [tried(false)])).toEqual([])
    const alike = { ...defined(ways[0]), fix: 'patch' }
    const other = { ...alike, fix: 'glue', technique: 'another' }
    expect(waysLeft([...ways, alike, other], [tried(false)])).toEqual([other])
    expect(waysLeft([...ways, alike, other], [{ fix: null, could: true }])).toHaveLength(3)
  })

  it('a tube is tried twice while there are two, and what comes of it is every way that can go', () => {
    const { ways, expectedH, lossH, mended } = triageAt(70)
    expect(ways.map(({ fix, takes }) => [fix, takes])).toEqual([
      [
        'swap',
        [
          { thing: 'tube', stock: 'tube-622', amount: 1 },
          { thing: 'lever', stock: null, amount: null },
        ],
      ],
    ])
    // Hands that have done an easy thing at home: 0.97; tubes that are trusted to 0.8 (model § 3).
    const [hands, holds, workH, residualH] = [0.97, 0.8, 0.25, nth(ways, 0).residualH]
    expect(ways[0]).toMatchObject({ hands, holds, workH, most: 2 })
    const again = workH + holds * residualH + (1 - holds) * lossH
    expect(expectedH).toBeCloseTo(workH + (1 - hands) * lossH + hands * (holds * residualH + (1 - holds) * again), 9)
    expect(mended).toBeCloseTo(hands * (1 - (1 - holds) ** 2), 9)
    expect(nth(ways, 0).worthH).toBeCloseTo(hands * holds * (lossH - residualH) - workH, 9)
  })

  it('with one tube it is tried once, and with no lever not at all', () => {
    const less = (thing: string, count: number) => ({
      ...kit,
      left: kit.left.flatMap((pieces) =>
        pieces.thing !== thing ? [pieces] : count > 0 ? [{ ...pieces, count, amounts: { 'tube-622': count } }] : [],
      ),
    })
    const last = triageAt(70, less('tube', 1))
    expect(last.mended).toBeCloseTo(0.97 * 0.8, 9)
    const none = triageAt(70, less('lever', 0))
    expect(none).toMatchObject({ ways: [], mended: 0 })
    expect(none.expectedH).toBe(none.lossH)
    expect(none.expectedWalkH).toBe(none.walkH)
  })

  it('what cannot fail there is said, with what can', () => {
    const onward = onwardOf({ trip: base, survey, laid, kit, position: { roadKm: 10, at } }, reference, ['r'])
    expect(() => triage(onward, { hazard: 'chain', bikeId: 'b' })).toThrow(
      'what failed: "chain"; expected something that can fail on that bike: flat',
    )
    expect(() => triage(onward, { hazard: 'flat', bikeId: 'x' })).toThrow('bike: "x"; expected one that is there: b')
  })
})

describe('who joins late or leaves early', () => {
  const reference = referenceWith()
  const survey = surveyRoad(line)
  const [all] = base.crew as [(typeof base.crew)[number]]
  // The town is at km 40.
  const trip = { ...base, crew: [{ ...all, id: 'late', joins: 'town' }, { ...all, id: 'early', leaves: 'town' }, all] }
  const laid = ledgerOfTrip(trip, survey, reference)

  it('is there from where they join to where they leave', () => {
    expect(ridersAt(trip, survey, 20)).toEqual(['early', 'r'])
    expect(ridersAt(trip, survey, 40)).toEqual(['late', 'early', 'r'])
    expect(ridersAt(trip, survey, 60)).toEqual(['late', 'r'])
  })
  it('has hands where they are said to be there, whatever was planned', () => {
    const kit = whatIsLeft(
      trip,
      ['lever', 'tube'].map((thing) => ({ rider: 'early', thing, count: 1, bag: '' })),
      reference,
    )
    const ride = { trip, survey, laid, kit, position: { roadKm: 60, at } }
    const { ways } = triage(onwardOf(ride, reference, ['early']), { hazard: 'flat', bikeId: 'b' })
    expect(ways.map(({ fix }) => fix)).toEqual(['swap'])
    expect(nth(ways, 0).hands).toBeCloseTo(0.97, 9)
  })
})

describe('what wears', () => {
  // A life of 200 km, of which 0.8 is left at the start; there is no shop that fits a fresh one.
  const reference = referenceWith({ kind: 'wearing', part: 'pads', lifeKm: 200, spread: 0.4, per1000km: undefined })
  const trip = { ...base, stops: [], bikes: base.bikes.map((bike) => ({ ...bike, padLeft: 0.8 })) }
  const survey = surveyRoad(line)
  const laid = ledgerOfTrip(trip, survey, reference)
  const leftAt = (roadKm: number, ...log: readonly object[]) => {
    const logged = { ...trip, log: log.map((fields, i) => logEntrySchema.parse({ id: `${i}`, at, ...fields })) }
    const kit = whatIsLeft(logged, [], reference)
    const { ledger } = onwardOf({ trip: logged, survey, laid, kit, position: { roadKm, at } }, reference, ['r']).laid
    return defined(nth(ledger.events, 0).wear).left
  }

  it('has as much less left as the road behind took of it', () => {
    expect(leftAt(0)).toBeCloseTo(0.8, 6)
    expect(leftAt(60)).toBeCloseTo(0.8 - 60 / 200, 3)
  })
  it('is new again where the log says so, by itself or by a fix that lasts', () => {
    expect(leftAt(60, { kind: 'renewed', roadKm: 40, bikeId: 'b', hazard: 'flat' })).toBeCloseTo(1 - 20 / 200, 3)
    const failed = { kind: 'failed', roadKm: 50, bikeId: 'b', hazard: 'flat' }
    const mended = (fix: string, held: boolean) => ({ ...failed, tries: [{ fix, could: true, held }] })
    expect(leftAt(60, mended('swap', true))).toBeCloseTo(1 - 10 / 200, 3)
    expect(leftAt(60, mended('swap', false))).toBeCloseTo(0.5, 3)
    expect(leftAt(60, mended('unheard of', true))).toBeCloseTo(0.5, 3)
    // What is written of a place ahead has not been yet, and another bike is another bike.
    expect(leftAt(60, { kind: 'renewed', roadKm: 70, bikeId: 'b', hazard: 'flat' })).toBeCloseTo(0.5, 3)
    expect(leftAt(60, { kind: 'renewed', roadKm: 40, bikeId: 'c', hazard: 'flat' })).toBeCloseTo(0.5, 3)
  })
  it('has a little left though it has outlived its life', () => {
    const worn = { ...trip, bikes: trip.bikes.map((bike) => ({ ...bike, padLeft: 0.1 })) }
    const onLaid = ledgerOfTrip(worn, survey, reference)
    const kit = whatIsLeft(worn, [], reference)
    const { ledger } = onwardOf({ trip: worn, survey, laid: onLaid, kit, position: { roadKm: 90, at } }, reference, [
      'r',
    ]).laid
    expect(nth(ledger.events, 0).wear?.left).toBe(0.05)
  })
})

it('what wears is known from the ledger of what wears alone', () => {
  const trip = demoTrip()
  const road = surveyRoad(trip.road.points)
  const costs = new CostsOfFailing(trip, road, catalogue)
  const kit = whatIsLeft(trip, [], catalogue)
  const wornBy = (laid: LedgerOfTrip) => {
    const ride = { trip, survey: road, laid, kit, position: { roadKm: 210, at } }
    return onwardOf(ride, catalogue, ridersAt(trip, road, 210)).laid.ledger.events.map(({ id, wear }) => [id, wear])
  }
  const whole = ledgerOfTrip(trip, road, catalogue, costs)
  expect(wornBy(wearOf(trip, road, catalogue, costs))).toEqual(wornBy(whole))
  const left = (laid: LedgerOfTrip) => laid.ledger.events.filter(({ wear }) => wear).length
  expect(left(wearOf(trip, road, catalogue, costs))).toBe(left(whole))
})

describe('what it may be', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const laid = once(() => ledgerOfTrip(trip, survey, catalogue))
  const here = (change: object = {}, roadKm = 210) => {
    const worn = { ...trip, bikes: trip.bikes.map((bike) => ({ ...bike, ...change })) }
    const whole = Object.keys(change).length > 0 ? ledgerOfTrip(worn, survey, catalogue) : laid()
    const kit = whatIsLeft(worn, [], catalogue)
    const ride = { trip: worn, survey, laid: whole, kit, position: { roadKm, at } }
    return onwardOf(ride, catalogue, ridersAt(worn, survey, roadKm))
  }
  const symptom = (id: string) => defined(symptoms.find((each) => each.id === id))

  it('is everything that can fail, each by some symptom, and few enough to choose among', () => {
    const told = new Set(symptoms.flatMap(({ hazards }) => hazards))
    expect([...told].sort()).toEqual(catalogue.hazards.map(({ id }) => id).sort())
    for (const { id, name, hazards } of symptoms) {
      expect(hazards.length, id).toBeLessThanOrEqual(7)
      expect(new Set(hazards).size, id).toBe(hazards.length)
      expect(name.length, id).toBeLessThanOrEqual(40)
    }
    for (const place of places)
      expect(symptoms.filter((each) => each.places.includes(place)).length, place).toBeLessThanOrEqual(6)
  })
  it('is the likelier, the more often it comes just there', () => {
    const onward = here()
    const causes = causesOf(onward, symptom('no-air'), 'mule')
    expect(causes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
    const rate = (event: string) => nth(defined(onward.laid.ledger.events.find(({ id }) => id === event)).perLeg, 0)
    const [first] = causes as [(typeof causes)[number]]
    for (const { note, share } of causes)
      expect(share / first.share).toBeCloseTo(rate(note.event) / rate(first.note.event), 9)
    expect(causes.map(({ note }) => note.bike)).not.toContain('fox')
    expect([...causes].sort((a, b) => b.share - a.share)).toEqual(causes)
  })
  it('is what has hardly any life left, before what comes of a sudden', () => {
    // Before the first place where fresh ones are fitted.
    const brake = (padLeft: number) => causesOf(here({ padLeft }, 20), symptom('brake-soft'), 'fox')
    const pads = (padLeft: number) => defined(brake(padLeft).find(({ note }) => note.hazard === 'pads-worn')).share
    expect(brake(0.05)[0]?.note.hazard).toBe('pads-worn')
    expect(pads(0.05)).toBeGreaterThan(pads(1))
  })
  it('is nothing of a bike that is not there', () => {
    expect(causesOf(here(), symptom('no-air'), 'nobody')).toEqual([])
  })
})

describe('states that are drawn', () => {
  it('are answered with what is best first by the definition of the ledger', { timeout: 60_000 }, () => {
    for (let seed = 1; seed <= 4; seed++) {
      const onward = drawnOnward(seed)
      for (const { event, found } of triageOfAll(onward))
        expect(found.ways[0]?.fix, `${seed} ${event.id}`).toBe(firstByDefinition(onward, event))
    }
  })

  it('lose the hours that are lost in the mean when they are drawn as the definition says', { timeout: 60_000 }, () => {
    const draw = seeded(7)
    const answered = [2, 3, 4, 5, 6].flatMap((seed) => {
      const onward = drawnOnward(seed)
      return triageOfAll(onward).flatMap((each) => (each.found.ways.length > 1 ? [{ ...each, onward }] : []))
    })
    expect(answered.length).toBeGreaterThan(10)
    for (const { event, found, onward } of answered) {
      const drawn = hoursDrawn(onward, event, draw)
      const draws = Array.from({ length: 4000 }, () => drawn())
      const mean = draws.reduce((sum, hours) => sum + hours, 0) / draws.length
      const variance = draws.reduce((sum, hours) => sum + (hours - mean) ** 2, 0) / (draws.length - 1)
      // Five standard errors: of as many failures none strays as far by chance.
      expect(Math.abs(found.expectedH - mean), event.id).toBeLessThan(5 * Math.sqrt(variance / draws.length) + 1e-9)
    }
  })
})

describe('a partner on the road', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const laid = once(() => ledgerOfTrip(trip, survey, catalogue))
  const [maren, ansel] = [nth(trip.crew, 0).id, nth(trip.crew, 1).id]
  const chainTool = trip.bench
    .filter(({ heads }) => heads.some(({ profile }) => profile === 'chain-pin'))
    .map(({ id }) => id)
  const kit = () => {
    const all = trip.bench.map(({ id, count }) => {
      const rider = chainTool.includes(id) ? maren : ansel
      return { rider, thing: id, count, bag: '' }
    })
    return whatIsLeft(trip, all, catalogue)
  }
  function brokenAt(roadKm: number, hoursOff: number) {
    const ride = { trip, survey, laid: laid(), kit: kit(), position: { roadKm, at: '2026-06-15T12:00' } }
    const here = atThePlace(ride, catalogue, [ansel])
    return triageAmong(here, ride, catalogue, { hazard: 'chain-broken', bikeId: 'mule' }, [{ rider: maren, hoursOff }])
  }

  it('who is two hours ahead with the best tool is waited for, and it is said what of theirs is wanted', () => {
    expect(chainTool.length).toBeGreaterThan(0)
    const { now, waiting } = brokenAt(200, 2)
    expect(waiting).toMatchObject([{ rider: maren, hoursOff: 2 }])
    const [{ then, sparesH, theirs }] = waiting as [(typeof waiting)[number]]
    expect(sparesH).toBeCloseTo(now.expectedH - then.expectedH - 2, 9)
    expect(theirs.some((id) => chainTool.includes(id))).toBe(true)
    expect(now.ways.flatMap(({ takes }) => takes).some(({ thing }) => chainTool.includes(thing))).toBe(false)
  })
  it('who is too far off is not', () => {
    const { now } = brokenAt(200, 2)
    expect(brokenAt(200, now.expectedH + 1).waiting).toEqual([])
  })
})
