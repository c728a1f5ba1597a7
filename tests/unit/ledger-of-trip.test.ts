import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { riderSchema, successBySkill } from '#core/crew'
import { fastenerSchema } from '#core/bike'
import { limpShareOf } from '#core/hazard'
import { nightsOut } from '#core/availability'
import { onLeg, readLedger } from '#core/ledger'
import { defaultTraits, surveyRoad } from '#core/road'
import { newStop } from '#core/supply'
import { tripSchema, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { base, bike, line, pushH, referenceWith, shopAt } from '../level-road'
import { describe, expect, it } from 'vitest'

const write = (change: Partial<Trip> = {}, hazard: object = {}, fix: object = {}) =>
  ledgerOfTrip({ ...base, ...change }, surveyRoad(line), referenceWith(hazard, fix))
const eventOf = (change: Partial<Trip> = {}, hazard: object = {}, fix: object = {}) =>
  nth(write(change, hazard, fix).ledger.events, 0)

it('is a ledger such as one reads from a file, on whatever road and with whatever bench', () => {
  const demo = demoTrip()
  const alone = { ...demo, crew: demo.crew.slice(0, 1), bikes: demo.bikes.slice(0, 1) }
  const undated = { ...demo, ride: { ...demo.ride, start: null }, dials: { ...demo.dials, gramsPerHour: null } }
  const pinned = { ...demo, bench: demo.bench.map((thing) => ({ ...thing, pin: { min: 1, max: thing.count } })) }
  for (const trip of [demo, alone, undated, pinned, { ...demo, bench: [], stops: [] }]) {
    const { ledger } = ledgerOfTrip(trip, surveyRoad(trip.road.points), catalogue)
    expect(readLedger(ledger)).toEqual(ledger)
  }
})

describe('the ledger of a trip worked out by hand', () => {
  it('has a leg for each stretch between stops, the failures of each, and the shop’s chance to fill up again', () => {
    const { ledger, notes } = write()
    expect(ledger.legs).toBe(2)
    expect(ledger.stocks).toEqual([{ id: 'tube-622', refills: [{ leg: 1, chance: 0.9 }] }])
    const { id, perLeg } = nth(ledger.events, 0)
    expect(id).toBe('flat/b')
    expect(nth(perLeg, 0)).toBeCloseTo(0.04, 6)
    expect(nth(perLeg, 1)).toBeCloseTo(0.06, 6)
    expect(nth(notes, 0).expected).toBeCloseTo(0.1, 6)
    expect(nth(notes, 0).settledBy).toEqual(['tube-622'])
  })

  it('has the mean walk by chance: to the shop, and on to an end where it has none', () => {
    // With a sure shop the mean distance to the nearer end of 40 km is 10 km, of 60 km 15 km.
    const sure = eventOf({ stops: [shopAt({ 'tube-622': 1 })] })
    expect(onLeg(sure.walkH, 0)).toBeCloseTo(10 * pushH, 2)
    expect(onLeg(sure.walkH, 1)).toBeCloseTo(15 * pushH, 2)
    // One time in ten 40 km more, back to the start: the shop is worth d + 4 km, so that it is sought from beyond km 22:
    // (22²/2 + 18·(4 + 9)) / 40 km; on the other side from before km 68: (28·(4 + 14) + 32²/2) / 60 km.
    const doubtful = eventOf()
    expect(onLeg(doubtful.walkH, 0)).toBeCloseTo(((22 ** 2 / 2 + 18 * 13) / 40) * pushH, 2)
    expect(onLeg(doubtful.walkH, 1)).toBeCloseTo(((28 * 18 + 32 ** 2 / 2) / 60) * pushH, 2)
  })

  it('keeps what is on foot apart from prices, and both make up the loss', () => {
    const event = eventOf({ dials: { ...base.dials, nightOutH: 5 } })
    const { notes } = write({ dials: { ...base.dials, nightOutH: 5 } })
    const { walkH, priceH } = nth(notes, 0).exposure
    for (const leg of [0, 1]) {
      expect(onLeg(event.lossH, leg)).toBeCloseTo(nth(walkH, leg) + nth(priceH, leg), 12)
      expect(onLeg(event.walkH, leg)).toBe(nth(walkH, leg))
    }
    // Being stranded has its price without nights: 3 h, less where the walk is shorter than 3 h.
    const plain = eventOf({ stops: [] })
    expect(onLeg(plain.lossH, 0) - onLeg(plain.walkH, 0)).toBeGreaterThan(2)
    expect(onLeg(plain.lossH, 0) - onLeg(plain.walkH, 0)).toBeLessThan(3)
    // On 100 km without a stop one is 3 h on foot from both ends from km 12.6 to km 87.4.
    expect(onLeg(plain.strands, 0)).toBeCloseTo(1 - (2 * 3) / pushH / 100, 1)
  })

  it('limps where the bike can be ridden: slower to where it is settled, and nobody is stranded', () => {
    const limping = eventOf({}, { stops: 0, limpShare: 0.2 })
    expect(onLeg(limping.strands, 0)).toBe(0)
    // Close to the start it costs less to push back than to limp on.
    expect(onLeg(limping.walkH, 0)).toBeLessThan(0.01)
    // On gravel at 15 km/h: 20 km on average to the shop, and one time in ten 60 km more; less where one pushes back.
    expect((0.2 * (20 + 6)) / 15 - onLeg(limping.lossH, 0)).toBeGreaterThan(0)
    expect((0.2 * (20 + 6)) / 15 - onLeg(limping.lossH, 0)).toBeLessThan(0.01)
    const half = eventOf({}, { stops: 0.5, limpShare: 0.2 })
    const stuck = eventOf()
    expect(onLeg(half.walkH, 0)).toBeCloseTo(onLeg(stuck.walkH, 0) / 2, 2)
    expect(onLeg(half.lossH, 0)).toBeCloseTo((onLeg(stuck.lossH, 0) + onLeg(limping.lossH, 0)) / 2, 2)
  })

  it('has the best hands of all while they ride together, and those on the bike while they are apart', () => {
    const crew = [
      riderSchema.parse({ id: 'r', name: 'r', bikeId: 'b', hands: 0 }),
      riderSchema.parse({ id: 'm', name: 'm', bikeId: 'other', hands: 3 }),
    ]
    const handsWith = (change: Partial<Trip>) => nth(eventOf({ crew, ...change }).fixes, 0).hands
    const { easy } = successBySkill
    expect(handsWith({})).toBe(easy[3])
    expect(handsWith({ ride: { ...base.ride, apart: 0.4 } })).toBeCloseTo(0.6 * easy[3] + 0.4 * easy[0], 12)
    // On a fifth of the road always, elsewhere as on the whole ride: 0.2 + 0.8 · 0.25.
    const stretches = [{ id: 's', fromKm: 60, toKm: 80, ...defaultTraits, apart: 1 }]
    const road = { ...base.road, stretches }
    expect(handsWith({ road, ride: { ...base.ride, apart: 0.25 } })).toBeCloseTo(0.6 * easy[3] + 0.4 * easy[0], 4)
    // Where they say that they keep together, they do.
    const together = { ...base.road, stretches: [{ id: 's', fromKm: 0, toKm: 100, ...defaultTraits, apart: 0 }] }
    expect(handsWith({ road: together, ride: { ...base.ride, apart: 0.25 } })).toBeCloseTo(easy[3], 4)
  })

  it('is settled by any of several classes', () => {
    const stops = [shopAt({ 'tube-622': 0.3, mechanic: 0.5 })]
    const tubeOnly = eventOf({ stops })
    const both = eventOf({ stops }, { alsoSettledBy: ['mechanic'] })
    expect(onLeg(both.walkH, 0)).toBeLessThan(onLeg(tubeOnly.walkH, 0))
  })

  it('has the fix with the rider’s hands; the part’s condition goes with the part, minutes are work', () => {
    const { ledger } = write()
    const event = nth(ledger.events, 0)
    const fix = nth(event.fixes, 0)
    expect(fix).toMatchObject({ id: 'swap', needs: ['lever'], uses: { 'tube-622': 1 }, hands: 0.97, workH: 0.25 })
    expect(onLeg(fix.residualH, 0)).toBeCloseTo(0.01 * onLeg(event.lossH, 0), 12)
    expect(onLeg(fix.residualWalkH, 0)).toBeCloseTo(0.01 * onLeg(event.walkH, 0), 12)
    expect(ledger.items.map(({ condition }) => condition)).toEqual([0.99, 0.8])
  })

  it('of what wears on fails again by how far it has to last, and never surely', () => {
    const wearsOn = (lastsKm: number) => {
      const { ledger, notes } = write({}, {}, { grade: 'to the next shop', lastsKm })
      return { event: nth(ledger.events, 0), fix: nth(nth(ledger.events, 0).fixes, 0), note: nth(notes, 0) }
    }
    const { event, fix, note } = wearsOn(50)
    // 20 km on average to the shop at km 40, and one time in ten the 60 km to the end; beyond it 30 km on average.
    expect(nth(note.exposure.ridingKm, 0)).toBeCloseTo(20 + 6, 1)
    expect(nth(note.exposure.ridingKm, 1)).toBeCloseTo(30, 1)
    for (const [leg, km] of note.exposure.ridingKm.entries()) {
      const again = 1 - Math.exp(-km / 50)
      const slower = 0.03 * nth(note.exposure.ridingH, leg)
      expect(onLeg(fix.residualH, leg)).toBeCloseTo(slower + again * onLeg(event.lossH, leg), 12)
      expect(onLeg(fix.residualWalkH, leg)).toBeCloseTo(again * onLeg(event.walkH, leg), 12)
    }
    const hardly = wearsOn(1)
    expect(onLeg(hardly.fix.residualH, 0)).toBeCloseTo(0.95 * onLeg(hardly.event.lossH, 0), 12)
  })

  it('strikes each wheel by itself', () => {
    const { ledger } = write({}, { strikes: 'wheel' })
    const drawn = ledger.events.map(({ id, perLeg, fixes }) => [id, nth(perLeg, 0).toFixed(3), nth(fixes, 0).uses])
    expect(drawn).toEqual([
      ['flat/b/front', '0.040', { 'tube-622': 1 }],
      ['flat/b/rear', '0.040', { 'tube-622': 1 }],
    ])
  })

  it('of several fasteners turns the one that failed, each as likely as it is common', () => {
    const bolt = (id: string, size: number, count: number) =>
      fastenerSchema.parse({
        ...{ id, name: id, part: 'rack', role: 'rack-bolt', count },
        ...{ drive: { profile: 'hex', size }, torqueNm: { least: 4, most: 5 } },
      })
    const bikes = [{ ...bike, fasteners: [bolt('stay', 4, 3), bolt('foot', 5, 1)] }]
    const key = { id: 'key-5', name: 'key', massG: 20, heads: [{ profile: 'hex', size: 5, leverMm: 80 }] }
    const bench = tripSchema.shape.bench.unwrap().parse([...base.bench, key])
    const { ledger, stuck } = write({ bikes, bench }, { fastener: 'rack-bolt' }, { turns: ['rack-bolt'] })
    expect(ledger.events.map(({ id, perLeg, fixes }) => [id, nth(perLeg, 0).toFixed(3), fixes.length])).toEqual([
      ['flat/b/stay', '0.030', 0],
      ['flat/b/foot', '0.010', 1],
    ])
    expect(stuck.map(({ fasteners }) => fasteners.map(({ id }) => id))).toEqual([['stay']])
  })

  it('writes a fix once for each pump, with its own minutes', () => {
    const pump = (id: string, strokeMl: number) => ({
      ...{ id, name: id, massG: 100, provides: ['inflate-presta'], measures: { strokeMl } },
    })
    const bench = tripSchema.shape.bench.unwrap().parse([...base.bench, pump('long', 90), pump('short', 30)])
    const { ledger } = write({ bench }, {}, { needs: ['lever', 'inflate-presta'], air: 'pump' })
    const { fixes } = nth(ledger.events, 0)
    expect(fixes.map(({ id, needs }) => [id, needs])).toEqual([
      ['swap@long', ['lever', 'inflate-presta with long']],
      ['swap@short', ['lever', 'inflate-presta with short']],
    ])
    const minutes = fixes.map(({ workH }) => 60 * onLeg(workH, 0) - 15)
    expect(nth(minutes, 1)).toBeCloseTo(3 * nth(minutes, 0), 9)
    expect(defined(ledger.items.find(({ id }) => id === 'short')).condition).toBe(0.985)
  })
})

describe('what moves the ledger of a trip', () => {
  const lossOf = (change: Partial<Trip>, leg = 0) => onLeg(eventOf(change).lossH, leg)
  const { dials } = base

  it('a shop a little surer is a little better, on either side of the trust', () => {
    const losses = [0.59, 0.6, 0.61].map((chance) => lossOf({ stops: [shopAt({ 'tube-622': chance })] }))
    expect(nth(losses, 0)).toBeGreaterThan(nth(losses, 1))
    expect(nth(losses, 1)).toBeGreaterThan(nth(losses, 2))
    expect(nth(losses, 0) / nth(losses, 2)).toBeLessThan(1.05)
  })
  it('a lift brings one to the next place of help, and no part that is not there', () => {
    const lift = { ...dials, liftWaitH: 1 }
    expect(lossOf({ dials: lift })).toBeLessThan(lossOf({}))
    const without = { stops: [shopAt({ 'tube-622': 0 })], dials: lift }
    // Carried to an end of the road, where everything is had, at no walk.
    expect(onLeg(eventOf(without).walkH, 1)).toBeLessThan(0.2)
    expect(onLeg(eventOf(without).lossH, 1)).toBeGreaterThan(0.9)
  })
  it('a partner on a bike that rolls rides for the part and back', () => {
    const two = { bikes: [bike, { ...bike, id: 'c' }], stops: [shopAt({ 'tube-622': 1 })] }
    const event = defined(write(two).ledger.events.find(({ id }) => id === 'flat/b'))
    // At most the way to the shop and back at 15 km/h, 25 km on average in the second leg, and a little where walking is less.
    expect(onLeg(event.lossH, 1)).toBeLessThan((2 * 30) / 15)
    expect(onLeg(event.walkH, 1)).toBeLessThan(onLeg(eventOf({ stops: two.stops }).walkH, 1) / 2)
  })
  it('an exit ends the walk at the price of the ride', () => {
    const exit = { ...newStop('x', 'X', 70), exit: 'bus' as const }
    const event = eventOf({ stops: [shopAt({ 'tube-622': 0 }), exit], dials: { ...dials, rideOverH: 1 } })
    expect(onLeg(event.lossH, 2)).toBeLessThan(lossOf({ stops: [shopAt({ 'tube-622': 0 })] }, 1))
  })
  it('a smooth road halves the rate where it is smooth', () => {
    const stretches = [{ id: 's', fromKm: 0, toKm: 20, ...defaultTraits, surface: 'asphalt' as const }]
    const { perLeg } = eventOf({ road: { ...base.road, stretches } }, { onRoad: [{ when: 'asphalt', times: 0.5 }] })
    expect(nth(perLeg, 0)).toBeCloseTo((0.5 * 20 + 20) / 1000, 6)
  })
  it('a worn tyre is cut more often, each wheel by its own tread', () => {
    const tyres = { front: { ...bike.tyres.front, treadLeft: 1 }, rear: { ...bike.tyres.rear, treadLeft: 0.5 } }
    const { ledger } = write({ bikes: [{ ...bike, tyres }] }, { strikes: 'wheel', onWornTread: 3 })
    expect(ledger.events.map(({ perLeg }) => Number(nth(perLeg, 0).toFixed(6)))).toEqual([0.04, 0.06])
  })
  it('a part that wears is fitted anew where it is trusted to be had', () => {
    const worn = {
      ...{ kind: 'wearing', id: 'flat', name: 'worn', settledBy: 'tube-622', part: 'tread' },
      ...{ lifeKm: 1000, spread: 0.3 },
    }
    expect(eventOf({}, worn).wear).toEqual({ left: 0.8, spread: 0.3, lives: [0.04, 0.06].map(near), freshAtLegs: [1] })
    expect(eventOf({ dials: { ...dials, trust: 0.95 } }, worn).wear).toMatchObject({ freshAtLegs: [] })
  })
  it('nights begin where a walk outlasts the light, and not from the first minute', () => {
    const light = { leastH: 1, mostH: 9 }
    expect([0, 1, 5, 9, 12].map((walkH) => nightsOut(walkH, light, 10))).toEqual([0, 0, 0.5, 1, 1.125])
    expect(nightsOut(0.5, { leastH: 0, mostH: 0 }, 10)).toBe(1)
  })
  it('a wheel with fewer spokes limps more with one short', () => {
    const wheelsOf = (holes: number) => ({ wheels: { ...bike.wheels, rear: { ...bike.wheels.rear, holes } } })
    expect([36, 32, 28, 24].map((holes) => limpShareOf({ limpShare: 'by spokes' }, wheelsOf(holes)))).toEqual([
      0.08, 0.12, 0.2, 0.4,
    ])
    expect(limpShareOf({ limpShare: 0.3 }, wheelsOf(36))).toBe(0.3)
  })
})

const near = (value: number) => expect.closeTo(value, 6) as number
