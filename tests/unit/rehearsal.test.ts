import { CostsOfFailing } from '#core/availability'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import {
  decide,
  drawBreakdowns,
  entryOf,
  hoursPlayed,
  isAsGood,
  newToThem,
  questionsOn,
  sceneAt,
  scoresOf,
  worthPlaying,
  type Breakdown,
  type Played,
  type Scene,
} from '#core/rehearsal'
import { cautionsOf } from '#core/fix'
import type { LogEntry } from '#core/log'
import { surveyRoad } from '#core/road'
import { hoursIfFirst, triage } from '#core/trail'
import { writeLedger } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { base, line, pushH, referenceWith } from '../level-road'
import { once } from '../once'

const reference = referenceWith()
const survey = surveyRoad(line)
const laid = writeLedger(base, survey, reference)
const carriedWith = (tubes: number) => [
  { rider: 'r', thing: 'lever', count: 1, bag: '' },
  ...(tubes > 0 ? [{ rider: 'r', thing: 'tube', count: tubes, bag: '' }] : []),
]
const played = (tubes: number): Played => ({ trip: base, survey, laid, carried: carriedWith(tubes) })
const flatAt = (roadKm: number, key = 1): Breakdown => ({
  roadKm,
  at: '2026-06-14T12:00',
  failing: { hazard: 'flat', bikeId: 'b', wheel: null, fastener: null },
  key,
})

describe('breakdowns that are drawn', () => {
  const demo = once(() => {
    const trip = demoTrip()
    const road = surveyRoad(trip.road.points)
    const costs = new CostsOfFailing(trip, road, catalogue)
    return { costs, laid: writeLedger(trip, road, catalogue, costs), lengthKm: road.lengthKm }
  })

  it('are the same for the same seed, others for another, and in the order of the road', () => {
    const draw = (seed: number) => drawBreakdowns(demo().laid, demo().costs.timetable, seed)
    expect(draw(5)).toEqual(draw(5))
    expect(draw(5)).not.toEqual(draw(6))
    const km = draw(5).map(({ roadKm }) => roadKm)
    expect(km).toEqual([...km].sort((a, b) => a - b))
    expect(km.every((each) => each >= 0 && each <= demo().lengthKm)).toBe(true)
    expect(draw(5).every(({ at }) => at.startsWith('2026-06-1'))).toBe(true)
  })

  it(
    'come as often as the ledger expects: of sudden ones the mean of 1000 trips, to four standard errors',
    { timeout: 60_000 },
    () => {
      const { ledger, notes } = demo().laid
      const wearing = new Set(ledger.events.flatMap(({ id, wear }) => (wear ? [id] : [])))
      const expected = ledger.events.reduce((sum, { perLeg }) => sum + perLeg.reduce((all, each) => all + each, 0), 0)
      const eventOf = ({ hazard, bikeId, wheel, fastener }: Breakdown['failing']) =>
        defined(
          notes.find(
            (note) =>
              note.hazard === hazard && note.bike === bikeId && note.wheel === wheel && note.fastener === fastener,
          ),
        ).event
      const trips = 1000
      let sum = 0
      for (let seed = 0; seed < trips; seed++)
        sum += drawBreakdowns(demo().laid, undefined, seed).filter(
          ({ failing }) => !wearing.has(eventOf(failing)),
        ).length
      expect(Math.abs(sum / trips - expected)).toBeLessThan(4 * Math.sqrt(expected / trips))
    },
  )
})

describe('a play, on a level road with a shop at km 40', () => {
  it('nothing to mend it with costs what walking does, and is no wrong choice', () => {
    const scene = sceneAt(played(0), [], flatAt(70), reference)
    expect(scene.ways).toEqual([])
    expect(hoursPlayed(scene)).toBeCloseTo(30 * pushH + 3, 1)
    const given = decide(scene, null, reference)
    expect(given.tries).toEqual([{ fix: null, technique: null, best: null, regretH: 0, outcome: 'given up' }])
  })

  it('whoever walks though a tube is there loses what the tube would have spared in the mean', () => {
    const scene = sceneAt(played(2), [], flatAt(70), reference)
    const { lossH, expectedH } = scene.triage
    const [walked] = decide(scene, null, reference).tries
    expect(walked?.best).toBe('swap')
    expect(walked?.regretH).toBeCloseTo(lossH - expectedH, 9)
    const [swapped] = decide(scene, 'swap', reference).tries
    expect(swapped).toMatchObject({ best: 'swap', regretH: 0 })
    // By hand (model § 4): hands of 0.97 that do it twice, each time with a chance of 0.8 to hold.
    expect(expectedH).toBeCloseTo(hoursIfFirst(scene.onward, flatAt(70).failing, 'swap'), 12)
    expect(() => hoursIfFirst(scene.onward, flatAt(70).failing, 'glue')).toThrow(/cannot be tried/)
  })

  it('what comes of a choice is drawn as often as it is said to, and is the same whenever the same is chosen', () => {
    const counts = { held: 0, 'did not hold': 0, 'could not': 0, 'given up': 0 }
    const many = 4000
    for (let key = 0; key < many; key++) {
      const scene = sceneOnce(key)
      const { outcome } = nth(decide(scene, 'swap', reference).tries, 0)
      counts[outcome]++
      if (key < 20) expect(nth(decide(scene, 'swap', reference).tries, 0).outcome).toBe(outcome)
    }
    const near = (count: number, chance: number) =>
      expect(Math.abs(count / many - chance)).toBeLessThan(4 * Math.sqrt((chance * (1 - chance)) / many))
    near(counts['could not'], 0.03)
    near(counts.held, 0.97 * 0.8)
    near(counts['did not hold'], 0.97 * 0.2)
  })
  const template = once(() => sceneAt(played(2), [], flatAt(70), reference))
  const sceneOnce = (key: number): Scene => ({ ...template(), breakdown: flatAt(70, key) })

  it('what was used is gone at the next breakdown, and hands that could not once cannot again', () => {
    const keyWith = (outcome: string) =>
      defined(
        Array.from({ length: 400 }, (_, key) => key).find(
          (key) => nth(decide(sceneOnce(key), 'swap', reference).tries, 0).outcome === outcome,
        ),
      )
    const held = decide(sceneOnce(keyWith('held')), 'swap', reference)
    expect(held.ways).toEqual([])
    const way = nth(held.triage.ways, 0)
    expect(hoursPlayed(held)).toBeCloseTo(way.workH + way.residualH, 12)
    const entry = entryOf(held, 1)
    expect(entry).toMatchObject({ kind: 'failed', ending: 'mended', tries: [{ fix: 'swap', held: true }] })
    const tubesAt = (log: readonly LogEntry[]) =>
      sceneAt(played(2), log, flatAt(90), reference).onward.trip.bench.find(({ id }) => id === 'tube')?.count
    expect(tubesAt([entry])).toBe(1)
    expect(sceneAt(played(1), [entry], flatAt(90), reference).ways).toEqual([])

    const could = decide(sceneOnce(keyWith('could not')), 'swap', reference)
    expect(could.ways).toEqual([])
    // Nothing was used up by hands that could not.
    expect(tubesAt([entryOf(could, 1)])).toBe(2)
    const again = decide(sceneOnce(keyWith('did not hold')), 'swap', reference)
    expect(again.ways.map(({ fix }) => fix)).toEqual(['swap'])
  })

  it('a second try is another draw: it holds as often as the first', () => {
    const again = Array.from({ length: 4000 }, (_, key) => decide(sceneOnce(key), 'swap', reference))
      .filter(({ tries }) => nth(tries, 0).outcome === 'did not hold')
      .map((scene) => nth(decide(scene, 'swap', reference).tries, 1).outcome)
    expect(again.length).toBeGreaterThan(600)
    const held = again.filter((outcome) => outcome === 'held').length / again.length
    expect(Math.abs(held - 0.8)).toBeLessThan(4 * Math.sqrt((0.8 * 0.2) / again.length))
  })

  it('scores are told by what would have been best, the dearest first', () => {
    const scene = sceneAt(played(2), [], flatAt(70), reference)
    const right = decide(scene, 'swap', reference)
    const wrong = decide(scene, null, reference)
    expect(scoresOf([right])).toMatchObject([{ technique: 'change', decisions: 1, right: 1, regretH: 0 }])
    const [score] = scoresOf([right, wrong])
    expect(score).toMatchObject({ technique: 'change', decisions: 2, right: 1 })
    expect(score?.regretH).toBeCloseTo(nth(wrong.tries, 0).regretH, 12)
    expect(scoresOf([])).toEqual([])
    // Whoever has done it before learns nothing new; whoever never has, once they decided right.
    const [rider] = base.crew
    const never = { ...defined(rider), hands: 0 as const }
    expect(newToThem(scoresOf([right]), never)).toEqual(['change'])
    expect(newToThem(scoresOf([wrong]), never)).toEqual([])
    expect(newToThem(scoresOf([right]), { ...never, skills: { change: 2 } })).toEqual([])
    expect([isAsGood({ regretH: 0.04 }), isAsGood({ regretH: 0.06 })]).toEqual([true, false])
  })

  it('what costs next to nothing when it is left alone is not played', () => {
    expect(worthPlaying(played(0), [flatAt(99.9), flatAt(70)], reference).map(({ roadKm }) => roadKm)).toEqual([70])
  })
})

it('no choice costs less than the best, on the demo with everything along', { timeout: 60_000 }, () => {
  const trip = demoTrip()
  const road = surveyRoad(trip.road.points)
  const costs = new CostsOfFailing(trip, road, catalogue)
  const whole = writeLedger(trip, road, catalogue, costs)
  const carried = trip.bench.map(({ id, count }) => ({ rider: nth(trip.crew, 0).id, thing: id, count, bag: '' }))
  const play = { trip, survey: road, laid: whole, carried }
  let choices = 0
  for (const breakdown of drawBreakdowns(whole, costs.timetable, 3).slice(0, 6)) {
    const scene = sceneAt(play, [], breakdown, catalogue)
    const { best } = nth(decide(scene, null, catalogue).tries, 0)
    const hours = (fix: string | null) => hoursIfFirst(scene.onward, breakdown.failing, fix)
    for (const { fix } of scene.ways) {
      const { regretH } = nth(decide(scene, fix, catalogue).tries, 0)
      expect(regretH).toBeCloseTo(hours(fix) - hours(best), 9)
      expect(regretH).toBeGreaterThanOrEqual(0)
      choices++
    }
    expect(triage(scene.onward, breakdown.failing).ways).toEqual(scene.ways)
  }
  expect(choices).toBeGreaterThan(5)
})

describe('what is asked about a fix', () => {
  const along = demoTrip().bench.map(({ id }) => id)
  const takes = along.slice(0, 2)
  const asked = (key: number, fix = defined(catalogue.fixes.find(({ id }) => id === 'patch-tube')), things = takes) =>
    questionsOn(fix, things, along, catalogue.fixes, key)

  it('has one right answer among others that are wrong, whatever the fix and however it is drawn', () => {
    for (const fix of catalogue.fixes) {
      for (const key of [1, 2, 3]) {
        for (const { about, options, right } of asked(key, fix)) {
          expect(new Set(options).size, fix.id).toBe(options.length)
          expect(options.length, fix.id).toBeGreaterThan(1)
          const isRight = {
            thing: (option: string) => takes.includes(option),
            'first step': (option: string) =>
              options.every((other) => fix.steps.indexOf(option) <= fix.steps.indexOf(other)),
            caution: (option: string) => cautionsOf(fix).includes(option),
          }[about]
          expect(options.filter(isRight), `${fix.id}: ${about}`).toEqual([right])
        }
      }
    }
  })

  it('is the same for the same key, and another for another; the right one stands in no place of its own', () => {
    expect(asked(5)).toEqual(asked(5))
    expect(asked(5)).not.toEqual(asked(6))
    const places = Array.from({ length: 60 }, (_, key) => defined(asked(key)[0])).map(({ options, right }) =>
      options.indexOf(right),
    )
    expect([...new Set(places)].sort()).toEqual([0, 1, 2, 3])
  })

  it('is nothing where there is nothing to choose from', () => {
    const fix = { ...defined(catalogue.fixes.find(({ id }) => id === 'patch-tube')), steps: ['One.'], dangers: [] }
    expect(questionsOn({ ...fix, caution: '' }, [], along, catalogue.fixes, 1)).toEqual([])
    expect(questionsOn({ ...fix, caution: '' }, along, along, catalogue.fixes, 1)).toEqual([])
    const minded = { ...fix, caution: 'Mind.' }
    expect(questionsOn(minded, [], along, [minded], 1)).toEqual([])
  })
})
