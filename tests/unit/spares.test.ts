import { bikeFrom, catalogue } from '#catalogue'
import { thingSchema } from '#core/bench'
import { wheelGroups, wholeBike, type Bike } from '#core/bike'
import type { Reference } from '#core/reference'
import {
  fewestLengths,
  requirementsOf,
  spareFit,
  spareFitsOf,
  spokeServes,
  wheelWarnings,
  type Requirement,
} from '#core/spares'
import { defined } from '#core/validation'
import { describe, expect, it } from 'vitest'

const bike = structuredClone(bikeFrom('gravel', 'b'))
bike.tyres = { front: { ...bike.tyres.front, size: '40-622' }, rear: { ...bike.tyres.rear, size: '40-622' } }
bike.rims.front = { ...bike.rims.front, depthMm: 20, wideValveHole: false }
bike.rims.rear = { ...bike.rims.rear, depthMm: 25, wideValveHole: false }
bike.valve = 'presta'

const wanting = (classId: string, ridden: Bike = bike): Requirement => ({
  bike: ridden,
  group: wholeBike(ridden),
  classId,
})
const piece = (measures: Record<string, unknown>) => thingSchema.parse({ id: 't', name: 't', massG: 1, measures })
/** The first family whose pieces are judged so, and a class of it. */
const family = (fitBy: string) => defined(catalogue.families.find((each) => each.fitBy === fitBy))
const fits = (measures: Record<string, unknown>, has: string, want: Requirement) => {
  const fit = spareFit(piece(measures), has, want, catalogue)
  return fit && (fit.reason ? `${fit.verdict}: ${fit.reason.about}` : fit.verdict)
}

describe('a tube', () => {
  const tube = { fromWidthMm: 30, toWidthMm: 50, valve: 'presta', stemMm: 60 }
  const inTyre = (size: string, measures: Record<string, unknown> = {}, ridden = bike) =>
    fits({ ...tube, ...measures }, 'tube-622', {
      bike: ridden,
      group: { label: '', wheels: 2, tyre: { ...bike.tyres.rear, size } },
      classId: 'tube-622',
    })
  it('serves widths it is made for, doubtfully up to a tenth beyond, and none farther off', () => {
    expect(inTyre('30-622')).toBe('serves')
    expect(inTyre('50-622')).toBe('serves')
    expect(inTyre('55-622')).toBe('doubtful: width')
    expect(inTyre('56-622')).toBe('does not fit: width')
    expect(inTyre('27-622')).toBe('doubtful: width')
    expect(inTyre('26-622')).toBe('does not fit: width')
    const why = (size: string) => {
      const group = { label: '' as const, wheels: 2, tyre: { ...bike.tyres.rear, size } }
      return spareFit(piece(tube), 'tube-622', { bike, group, classId: 'tube-622' }, catalogue)?.reason
    }
    const range = { about: 'width', fromMm: 30, toMm: 50 }
    expect(why('56-622')).toEqual({ ...range, tyreMm: 56, finding: 'too narrow' })
    expect(why('26-622')).toEqual({ ...range, tyreMm: 26, finding: 'too wide' })
    expect(why('55-622')).toEqual({ ...range, tyreMm: 55, finding: 'at its limit' })
  })
  it('is doubtful where nobody has looked at its widths, its valve or its stem', () => {
    expect(inTyre('40-622', { fromWidthMm: null })).toBe('doubtful: width range unknown')
    expect(inTyre('40-622', { toWidthMm: null })).toBe('doubtful: width range unknown')
    expect(inTyre('40-622', { valve: null })).toBe('doubtful: valve unknown')
    expect(inTyre('40-622', { stemMm: null })).toBe('doubtful: stem unknown')
  })
  it('with another valve needs another pump, and a wide hole where it is the thick one', () => {
    expect(inTyre('40-622', { valve: 'schrader' })).toBe('does not fit: valve hole')
    const wide = structuredClone(bike)
    wide.rims.front.wideValveHole = true
    expect(inTyre('40-622', { valve: 'schrader' }, wide)).toBe('does not fit: valve hole')
    wide.rims.rear.wideValveHole = true
    expect(inTyre('40-622', { valve: 'schrader' }, wide)).toBe('doubtful: other valve')
    expect(inTyre('40-622', { valve: 'presta' }, { ...wide, valve: 'schrader' })).toBe('doubtful: other valve')
  })
  it('has to stand out of the deeper of the rims it goes to', () => {
    expect(inTyre('40-622', { stemMm: 40 })).toBe('serves')
    expect(inTyre('40-622', { stemMm: 39 })).toBe('doubtful: stem')
    expect(inTyre('40-622', { stemMm: 33 })).toBe('doubtful: stem')
    expect(inTyre('40-622', { stemMm: 32 })).toBe('does not fit: stem')
    // The rim in front is not as deep.
    const front = { label: 'front' as const, wheels: 1, tyre: bike.tyres.front }
    expect(fits({ ...tube, stemMm: 35 }, 'tube-622', { bike, group: front, classId: 'tube-622' })).toBe('serves')
  })
  it('for a tyre whose marking nobody can read is judged by its valve and stem', () => {
    expect(inTyre('unreadable')).toBe('serves')
    expect(inTyre('unreadable', { stemMm: 32 })).toBe('does not fit: stem')
  })
  it('of another bead does not fit, whatever else', () => {
    const want = wanting('tube-622')
    expect(spareFit(piece({}), 'tube-559', want, catalogue)).toEqual({
      verdict: 'does not fit',
      reason: { about: 'other size', variant: 'bead', has: '559', wanted: '622' },
    })
  })
  it('is judged by the worst that speaks against it', () => {
    expect(inTyre('55-622', { stemMm: 32 })).toBe('does not fit: stem')
    expect(inTyre('56-622', { stemMm: null })).toBe('does not fit: width')
  })
})

describe('other spares', () => {
  it('a tyre serves up to six millimetres wider than the one it replaces', () => {
    const tyre = family('tyre').id
    const fit = (toWidthMm: number | null) => fits({ toWidthMm }, `${tyre}-622`, wanting(`${tyre}-622`))
    expect(fit(46)).toBe('serves')
    expect(fit(47)).toBe('doubtful: clearance')
    expect(fit(30)).toBe('serves')
    expect(fit(null)).toBe('doubtful: tyre width unknown')
    const odd = { ...wanting(`${tyre}-622`), group: { ...wholeBike(bike), tyre: { ...bike.tyres.rear, size: 'odd' } } }
    expect(fits({ toWidthMm: 40 }, `${tyre}-622`, odd)).toBe('doubtful: tyre width unknown')
    expect(fits({ toWidthMm: 40 }, `${tyre}-559`, wanting(`${tyre}-622`))).toBe('does not fit: other size')
  })
  it.each([
    ['brake cable', 'frontBrakeMm', 'rearBrakeMm'],
    ['shift cable', 'frontShiftMm', 'rearShiftMm'],
  ] as const)('a %s is as long as the longer that the bike needs', (fitBy, front, rear) => {
    const { id } = family(fitBy)
    const cabled = (frontMm: number | null, rearMm: number | null): Bike => ({
      ...bike,
      cables: {
        frontBrakeMm: null,
        rearBrakeMm: null,
        frontShiftMm: null,
        rearShiftMm: null,
        [front]: frontMm,
        [rear]: rearMm,
      },
    })
    const fit = (lengthMm: number | null, ofBike: Bike) => fits({ lengthMm }, id, wanting(id, ofBike))
    expect(fit(1500, cabled(1200, 1500))).toBe('serves')
    expect(fit(1499, cabled(1200, 1500))).toBe('does not fit: cable too short')
    expect(fit(1499, cabled(1500, 1200))).toBe('does not fit: cable too short')
    expect(fit(1500, cabled(null, 1500))).toBe('serves')
    expect(fit(1499, cabled(1500, null))).toBe('does not fit: cable too short')
    expect(fit(1500, cabled(null, null))).toBe('doubtful: cable of the bike not measured')
    expect(fit(null, cabled(1200, 1500))).toBe('doubtful: cable not measured')
  })
  it('a valve for a tubeless rim is judged by its stem alone', () => {
    const { id } = family('valve stem')
    expect(fits({ stemMm: 40 }, id, wanting(id))).toBe('serves')
    expect(fits({ stemMm: 32 }, id, wanting(id))).toBe('does not fit: stem')
    expect(fits({ stemMm: null }, id, wanting(id))).toBe('doubtful: stem unknown')
  })
  it('a spoke serves 2 mm shorter and 1 mm longer, surely where one has been measured', () => {
    const measured = structuredClone(bike)
    measured.wheels.rear.right.measuredMm = 289.6
    const fit = (mm: number, wantedMm: number, ridden: Bike) =>
      fits({}, `spoke-${mm}`, wanting(`spoke-${wantedMm}`, ridden))
    expect([287, 288, 290, 291, 292].map((mm) => fit(mm, 290, measured))).toEqual([
      'does not fit: spoke length',
      'serves',
      'serves',
      'serves',
      'does not fit: spoke length',
    ])
    expect(fit(290, 290, bike)).toBe('doubtful: spoke not measured')
    // One that was measured elsewhere on the bike says nothing of this length.
    expect(fit(285, 285, measured)).toBe('doubtful: spoke not measured')
    expect(spokeServes(288, 290)).toBe(true)
    expect(spokeServes(287.9, 290)).toBe(false)
    expect(spokeServes(291.1, 290)).toBe(false)
  })
  it('what goes by its size serves in that size only', () => {
    expect(fits({}, 'quick-link-12', wanting('quick-link-12'))).toBe('serves')
    expect(fits({}, 'quick-link-11', wanting('quick-link-12'))).toBe('does not fit: other size')
  })
  it('of different families nothing is said, nor of classes that are none', () => {
    expect(fits({}, 'patch', wanting('tube-622'))).toBeUndefined()
    expect(fits({}, 'nothing', wanting('tube-622'))).toBeUndefined()
    expect(fits({}, 'tube-622', wanting('nothing'))).toBeUndefined()
    const thing = { ...piece({}), units: { 'quick-link-12': 1, patch: 4 } }
    const wants = [wanting('quick-link-12'), wanting('tube-622')]
    expect(spareFitsOf(thing, wants, catalogue)).toEqual([
      { verdict: 'serves', reason: null, want: wants[0], classId: 'quick-link-12' },
    ])
  })
})

describe('what a bike may want', () => {
  const reference: Pick<Reference, 'hazards' | 'fixes'> = {
    hazards: [
      { ...defined(catalogue.hazards[0]), id: 'flat', strikes: 'wheel', applies: { all: ['tubed'], none: [] } },
      { ...defined(catalogue.hazards[0]), id: 'snap', strikes: 'bike', applies: { all: [], none: ['single-speed'] } },
      {
        ...defined(catalogue.hazards[0]),
        id: 'fork',
        strikes: 'bike',
        applies: { all: ['suspension-fork'], none: [] },
      },
    ],
    fixes: [
      {
        ...defined(catalogue.fixes[0]),
        id: 'a',
        answers: ['flat'],
        applies: { all: [], none: [] },
        uses: { 'tube-{bead}': 1 },
      },
      {
        ...defined(catalogue.fixes[0]),
        id: 'b',
        answers: ['flat'],
        applies: { all: ['tough-tyre'], none: [] },
        uses: { boot: 1 },
      },
      {
        ...defined(catalogue.fixes[0]),
        id: 'c',
        answers: ['snap'],
        applies: { all: [], none: [] },
        uses: { 'quick-link-{speeds}': 1, patch: 1 },
      },
      { ...defined(catalogue.fixes[0]), id: 'd', answers: ['fork'], applies: { all: [], none: [] }, uses: { oil: 1 } },
      { ...defined(catalogue.fixes[0]), id: 'e', answers: ['none'], applies: { all: [], none: [] }, uses: { glue: 1 } },
    ],
  }
  const plain: Bike = { ...bike, gears: 'derailleur', speeds: 12, suspension: { forkMm: 0, rearMm: 0 } }
  const tyre = { ...bike.tyres.rear, tubeless: false, protection: 'normal' as const }
  const wanted = (ridden: Bike) =>
    requirementsOf(ridden, reference).map(({ classId, group }) => `${classId}${group.label && ` ${group.label}`}`)

  it('are the parts of the fixes of what may fail on it, once for each kind of wheel', () => {
    expect(wanted({ ...plain, tyres: { front: tyre, rear: tyre } })).toEqual(['tube-622', 'quick-link-12', 'patch'])
    const other = { ...tyre, size: '40-584' }
    expect(wanted({ ...plain, tyres: { front: tyre, rear: other } })).toEqual([
      'tube-622 front',
      'tube-584 rear',
      'quick-link-12',
      'patch',
    ])
    const tough = { ...tyre, protection: 'tough' as const }
    expect(wanted({ ...plain, tyres: { front: tyre, rear: tough } })).toEqual([
      'tube-622 front',
      'tube-622 rear',
      'boot rear',
      'quick-link-12',
      'patch',
    ])
  })
  it('are not what cannot fail on it', () => {
    const tubeless = { ...tyre, tubeless: true }
    expect(wanted({ ...plain, tyres: { front: tubeless, rear: tubeless } })).toEqual(['quick-link-12', 'patch'])
    expect(wanted({ ...plain, gears: 'single', tyres: { front: tyre, rear: tyre } })).toEqual(['tube-622'])
    const sprung = { ...plain, suspension: { forkMm: 100, rearMm: 0 } }
    expect(wanted({ ...sprung, tyres: { front: tyre, rear: tyre } })).toContain('oil')
  })
  it('go to the wheels that are alike', () => {
    const [first] = requirementsOf({ ...plain, tyres: { front: tyre, rear: tyre } }, reference)
    expect(first?.group).toEqual(wheelGroups({ ...plain, tyres: { front: tyre, rear: tyre } })[0])
  })
})

describe('warnings about a wheel', () => {
  it('say the pressure and what limits it, the stem, and a spoke measured over 3 mm off', () => {
    const wheel = structuredClone(bike)
    wheel.tyres.front = { ...wheel.tyres.front, rideBar: 4, mostBar: 4 }
    wheel.rims.front = { ...wheel.rims.front, stemMm: null, mostBar: 6, hooked: true, depthMm: 20 }
    wheel.wheels.front = structuredClone(bikeFrom('gravel', 'b').wheels.front)
    expect(wheelWarnings(wheel, 'front')).toEqual([])
    wheel.tyres.front.rideBar = 4.1
    expect(wheelWarnings(wheel, 'front')).toEqual([
      { about: 'pressure', rideBar: 4.1, limit: { bar: 4, setBy: 'tyre' } },
    ])
    wheel.tyres.front.mostBar = null
    wheel.rims.front.mostBar = 3.9
    expect(wheelWarnings(wheel, 'front')).toMatchObject([{ limit: { bar: 3.9, setBy: 'rim' } }])
    wheel.tyres.front.rideBar = 2
    wheel.rims.front.stemMm = 28
    expect(wheelWarnings(wheel, 'front')).toEqual([{ about: 'valve', stemMm: 28, depthMm: 20, pumps: 'few' }])
  })
})

describe('the fewest lengths of spokes', () => {
  it('are none for no wheels, and one where two sides lie near enough', () => {
    expect(fewestLengths([])).toEqual([])
    const sides = [
      { id: 'a', lengthMm: 290 },
      { id: 'b', lengthMm: 288 },
      { id: 'c', lengthMm: 280 },
    ]
    expect(fewestLengths(sides)).toEqual([
      { lengthMm: 280, serves: ['c'] },
      { lengthMm: 288, serves: ['a', 'b'] },
    ])
  })
  it('cannot be told with a tolerance that leaves no whole millimetre', () => {
    expect(() => fewestLengths([{ id: 'a', lengthMm: 290.5 }], { shorterMm: 0.2, longerMm: 0.2 })).toThrow(RangeError)
  })
})
