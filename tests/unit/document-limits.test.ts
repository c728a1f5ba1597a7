import { bikeFrom } from '#catalogue'
import { mostMoney } from '#core/money'
import { tripFormat, tripSchema } from '#core/trip'
import { checkAgainst, Faults } from '#core/validation'
import { describe, expect, it } from 'vitest'

/** A document with one of everything that has limits, each well inside them. */
function aDocument() {
  return {
    format: tripFormat,
    name: 'a plan',
    road: {
      name: 'a road',
      points: [[0, 0, 0] as unknown[], [0, 1, 0]],
      stretches: [{ id: 's', fromKm: 1, toKm: 2, surface: 'gravel' }],
    },
    ride: {
      start: '2026-06-12T08:00',
      country: 'is',
      nights: [{ id: 'n', roadKm: 3, stop: null, nights: 1 }],
      pace: {},
    },
    forecast: { from: 'somebody', days: [{ date: '2026-06-12', lowC: 0, highC: 10, rainMm: 0, windKmH: 0 }] },
    stops: [
      {
        id: 't',
        name: 'a stop',
        roadKm: 3,
        services: [{ kind: 'bike shop', hours: '', stocks: { patch: 0.5 }, parcel: { patch: 1 } }],
        note: '',
        ruledOut: ['water'],
      },
    ],
    bikes: [
      {
        ...bikeFrom('gravel', 'b'),
        name: 'a bike',
        wheels: { front: { holes: 32, crossings: 0, left: {}, right: {} }, rear: {} },
        storage: [{ id: 'hatch', name: 'a hatch', volumeMl: 500, longestMm: 200, boreMm: 20 }],
        chainrings: [40],
        fasteners: [
          {
            id: 'f',
            name: 'a bolt',
            part: 'frame',
            drive: { profile: 'hex', size: 5 } as Record<string, unknown>,
            torqueNm: { least: 0, most: 300 },
            canWait: '',
          },
        ],
      },
    ],
    crew: [{ id: 'r', name: 'a rider', bikeId: 'b', hands: 2, skills: { air: 2 } }],
    bench: [
      {
        id: 'g',
        name: 'a thing',
        massG: 10,
        provides: ['cut'],
        heads: [{ profile: 'hex', size: 5, setNm: { least: 1, most: 299 } } as Record<string, unknown>],
        units: { patch: 1 },
        measures: {},
        pin: { min: 0, max: 99 },
        from: 'patches',
        packedIn: [{ bikeId: 'b', storageId: 'hatch', count: 1 }],
        note: '',
      },
    ],
    home: {
      country: 'is',
      shops: [{ id: 's', name: 'a shop', hours: '', deliveryDays: 3 }],
      tasks: [{ id: 'o', name: 'a ticket', minutes: 5, note: '' }],
      papers: { on: '2026-06-01' },
    },
    dials: {},
  }
}

/** The document with something else at a path such as "stops[0].roadKm". */
function documentWith(path: string, value: unknown): unknown {
  const document = aDocument()
  const steps = path.split(/[.[\]]+/).filter((step) => step !== '')
  const last = steps.pop() ?? ''
  let at: unknown = document
  for (const step of steps) at = (at as Record<string, unknown>)[step] ??= {}
  ;(at as Record<string, unknown>)[last] = value
  return document
}

/** Where the document with a value at a path is at fault. */
function faultsWith(path: string, value: unknown): string[] {
  try {
    checkAgainst(tripSchema, documentWith(path, value))
    return []
  } catch (error) {
    if (error instanceof Faults) return error.faults.map(({ where }) => where)
    throw error
  }
}

const hex = 'bench[0].heads[0]'
const bolt = 'bikes[0].fasteners[0]'
const wheel = 'bikes[0].wheels.front'

/** A number, the least and the most it may be, and by how much less and more it is refused. */
const numbers: [path: string, least: number, most: number, step?: number][] = [
  ['road.points[0][0]', -90, 90],
  ['road.points[0][1]', -180, 180],
  ['road.points[0][2]', -500, 9000],
  ['road.stretches[0].fromKm', 0, 1.9, 0.1],
  ['ride.utcOffsetH', -12, 14],
  ['ride.dayStartsH', 0, 23.9, 0.1],
  ['ride.ridingH', 1, 24],
  ['ride.pauseH', 0, 2],
  ['ride.pace.gravel', 1, 60],
  ['ride.climbMPerH', 100, 3000],
  ['ride.nights[0].roadKm', 0, Infinity],
  ['ride.nights[0].nights', 1, 30, 1],
  ['forecast.days[0].lowC', -60, 10],
  ['forecast.days[0].highC', 0, 60],
  ['forecast.days[0].rainMm', 0, 500],
  ['forecast.days[0].windKmH', 0, 300],
  ['home.tasks[0].minutes', 0, 1000],
  ['home.shops[0].deliveryDays', 0, 60, 1],
  ['stops[0].roadKm', 0, Infinity],
  ['stops[0].offRoadM', 0, 100_000],
  ['stops[0].exitWaitH', 0, 168],
  ['stops[0].waitH', 0, 72],
  ['stops[0].services[0].stocks.patch', 0, 1],
  ['stops[0].services[0].parcel.patch', 0.01, 10_000, 0.01],
  ['crew[0].hands', 0, 3, 1],
  ['crew[0].skills.air', 0, 3, 1],
  ['bench[0].massG', 0.1, 20_000, 0.1],
  ['bench[0].volumeMl', 0.1, 100_000, 0.1],
  ['bench[0].packedIn[0].count', 1, 99],
  ['bench[0].longestMm', 0.1, 3000, 0.1],
  ['bench[0].count', 1, 99, 1],
  ['bench[0].condition', 0, 1],
  ['bench[0].owned', 0, 99, 1],
  ['bench[0].units.patch', 0.1, 10_000, 0.1],
  ['bench[0].pin.min', 0, 99, 1],
  ['bench[0].pin.max', 0, 99, 1],
  [`${hex}.size`, 0.5, 60],
  [`${hex}.leverMm`, 0, 1000],
  [`${hex}.reachMm`, 0, 500],
  [`${hex}.bodyMm`, 0, 200],
  [`${hex}.thickMm`, 0, 60],
  [`${hex}.turnedByMm`, 3, 60],
  [`${hex}.setNm.least`, 0.1, 299, 0.1],
  [`${hex}.setNm.most`, 1, 300],
  ['bench[0].measures.fromWidthMm', 10, 150],
  ['bench[0].measures.toWidthMm', 10, 150],
  ['bench[0].measures.stemMm', 10, 150],
  ['bench[0].measures.lengthMm', 100, 5000],
  ['bench[0].measures.gasG', 1, 100],
  ['bench[0].measures.strokeMl', 5, 2000],
  ['bench[0].measures.energyWh', 0.1, 1000],
  [`${bolt}.count`, 1, 99, 1],
  [`${bolt}.drive.size`, 0.5, 60],
  [`${bolt}.torqueNm.least`, 0, 300],
  [`${bolt}.torqueNm.most`, 0, 300],
  [`${bolt}.looseNm`, 0, 300],
  [`${bolt}.recessMm`, 0, 400],
  [`${bolt}.roomMm`, 1, 500],
  [`${bolt}.swingDeg`, 5, 360],
  [`${bolt}.gapMm`, 1, 60],
  [`${wheel}.holes`, 8, 72, 2],
  [`${wheel}.crossings`, 0, 3, 1],
  [`${wheel}.erdMm`, 100, 700],
  [`${wheel}.spokeHoleMm`, 1.5, 5],
  [`${wheel}.nippleMm`, 3, 6],
  [`${wheel}.left.flangeMm`, 20, 300],
  [`${wheel}.left.offsetMm`, 0, 80],
  [`${wheel}.left.measuredMm`, 60, 350],
  ['bikes[0].tyres.front.treadLeft', 0, 1],
  ['bikes[0].tyres.front.rideBar', 0.01, 15, 0.01],
  ['bikes[0].tyres.front.mostBar', 0.01, 15, 0.01],
  ['bikes[0].rims.front.depthMm', 5, 120],
  ['bikes[0].rims.front.mostBar', 0.01, 15, 0.01],
  ['bikes[0].rims.front.stemMm', 10, 150],
  ['bikes[0].frame.wheelbaseMm', 700, 1500],
  ['bikes[0].frame.chainstayMm', 300, 650],
  ['bikes[0].frame.dropMm', -150, 100],
  ['bikes[0].frame.headAngleDeg', 60, 80],
  ['bikes[0].frame.seatAngleDeg', 65, 80],
  ['bikes[0].frame.stackMm', 350, 850],
  ['bikes[0].frame.headTubeMm', 60, 350],
  ['bikes[0].frame.seatTubeMm', 200, 700],
  ['bikes[0].frame.saddleMm', 350, 900],
  ['bikes[0].sealantLeft', 0, 1],
  ['bikes[0].chainLeft', 0, 1],
  ['bikes[0].padLeft', 0, 1],
  ['bikes[0].speeds', 1, 14, 1],
  ['bikes[0].chainrings[0]', 6, 70, 1],
  ['bikes[0].sprockets[0]', 6, 70, 1],
  ['bikes[0].chainLinks', 50, 250, 1],
  ['bikes[0].cables.rearShiftMm', 100, 4000],
  ['bikes[0].suspension.forkMm', 0, 250],
  ['bikes[0].suspension.rearMm', 0, 250],
  ['bikes[0].batteryWh', 0, 3000],
  ['bikes[0].bottleMounts', 0, 8, 1],
  ['bikes[0].storage[0].volumeMl', 1, 60_000],
  ['bikes[0].storage[0].fill', 0.1, 1],
  ['bikes[0].storage[0].otherMl', 0, 60_000],
  ['bikes[0].storage[0].boreMm', 3, 60],
  ['bikes[0].storage[0].reachMin', 0, 60],
  ['bikes[0].storage[0].massG', 0, 5000],
  ['bikes[0].storage[0].longestMm', 10, 1000],
  ['bikes[0].pushFactor', 1, 4],
  ['dials.gramsPerHour', 0.01, 100_000, 0.01],
  ['dials.budgetG', 0, 100_000],
  ['dials.budgetMoney', 0, mostMoney, 1],
  ['dials.trust', 0, 1],
  ['dials.waitH', 0, 72],
  ['dials.walkHoursPerDay', 1, 24],
  ['dials.nightOutH', 0, 200],
  ['dials.rideOverH', 0, 1000],
  ['dials.helper', 0, 1],
  ['dials.liftWaitH', 0, 500],
  ['dials.handMostN', 50, 1500],
]

/** Numbers of things that are counted: nothing between two whole ones. */
const whole = [
  'ride.nights[0].nights',
  'bench[0].count',
  'bench[0].owned',
  'dials.budgetMoney',
  'bench[0].pin.min',
  `${bolt}.count`,
  'bikes[0].speeds',
  'bikes[0].chainrings[0]',
  'bikes[0].sprockets[0]',
  'bikes[0].bottleMounts',
]

/** A list, and how many there may be in it. */
const lists: [path: string, least: number, most: number][] = [
  ['road.stretches', 0, 500],
  ['ride.nights', 0, 200],
  ['forecast.days', 0, 400],
  ['stops', 0, 1000],
  ['stops[0].services', 0, 20],
  ['stops[0].ruledOut', 0, 20],
  ['bikes', 0, 20],
  ['bikes[0].chainrings', 1, 3],
  ['bikes[0].sprockets', 1, 14],
  ['bikes[0].storage', 0, 12],
  ['bikes[0].fasteners', 0, 120],
  ['crew', 0, 20],
  ['bench', 0, 500],
  ['bench[0].provides', 0, 60],
  ['bench[0].heads', 0, 40],
  ['bench[0].packedIn', 0, 240],
]

/** A text, and how many characters it may have. */
const texts: [path: string, least: number, most: number][] = [
  ['name', 1, 120],
  ['road.name', 0, 200],
  ['road.stretches[0].id', 1, 60],
  ['forecast.from', 0, 120],
  ['stops[0].id', 1, 60],
  ['stops[0].name', 1, 120],
  ['stops[0].note', 0, 1000],
  ['stops[0].hint', 0, 200],
  ['stops[0].services[0].kind', 1, 40],
  ['stops[0].services[0].hours', 0, 200],
  ['bikes[0].name', 1, 120],
  ['bikes[0].storage[0].name', 1, 60],
  [`${bolt}.canWait`, 0, 200],
  [`${bolt}.role`, 0, 40],
  ['bikes[0].hanger', 1, 8],
  ['crew[0].name', 1, 120],
  ['bench[0].name', 1, 120],
  ['bench[0].from', 0, 60],
  ['bench[0].note', 0, 1000],
  ['home.shops[0].name', 1, 120],
  ['home.shops[0].hours', 0, 200],
  ['home.tasks[0].name', 1, 120],
  ['home.tasks[0].note', 0, 1000],
]

describe('a trip document', () => {
  it('is taken as it is, before anything in it is changed', () => {
    expect(() => checkAgainst(tripSchema, aDocument())).not.toThrow()
  })
  it.each(numbers)(
    'takes %s from %f to %f, and refuses what lies beyond where it stands',
    (path, least, most, step = 0.05) => {
      expect(faultsWith(path, least)).toEqual([])
      if (most !== Infinity) {
        expect(faultsWith(path, most)).toEqual([])
        expect(faultsWith(path, most + step)).not.toEqual([])
      }
      expect(faultsWith(path, Number((least - step).toFixed(6)))).toContain(path)
      expect(faultsWith(path, 'many')).toContain(path)
    },
  )
  it.each(whole)('refuses halves of %s', (path) => {
    expect(faultsWith(path, 7.5)).toContain(path)
  })
  it.each(lists)('takes %s with %i to %i entries, and refuses more', (path, least, most) => {
    const first: unknown = path
      .split(/[.[\]]+/)
      .filter((step) => step !== '')
      .reduce<unknown>((at, step) => (at as Record<string, unknown>)[step], aDocument())
    const [entry] = first as unknown[]
    const listOf = (length: number) =>
      Array.from({ length }, (_, i) => (typeof entry === 'object' ? { ...entry, id: `${i}` } : entry))
    expect(faultsWith(path, listOf(least))).toEqual([])
    expect(faultsWith(path, listOf(most))).toEqual([])
    expect(faultsWith(path, listOf(most + 1))).toEqual([path])
    if (least > 0) expect(faultsWith(path, listOf(least - 1))).toEqual([path])
  })
  it.each(texts)('takes %s of %i to %i characters, and refuses more', (path, least, most) => {
    expect(faultsWith(path, 'a'.repeat(least))).toEqual([])
    expect(faultsWith(path, 'a'.repeat(most))).toEqual([])
    expect(faultsWith(path, 'a'.repeat(most + 1))).toEqual([path])
    if (least > 0) expect(faultsWith(path, '')).toEqual([path])
  })
  it.each([
    ['bench[0].pin', { min: 3, max: 2 }, 'bench[0].pin.max'],
    [`${hex}.setNm`, { least: 6, most: 5 }, `${hex}.setNm.most`],
    [`${bolt}.torqueNm`, { least: 6, most: 5 }, `${bolt}.torqueNm.most`],
    ['road.stretches[0].toKm', 1, 'road.stretches[0].toKm'],
    ['forecast.days[0].highC', -1, 'forecast.days[0].highC'],
    ['forecast.days[0].date', '2026-02-30', 'forecast.days[0].date'],
    [`${wheel}.holes`, 33, `${wheel}.holes`],
    [`${wheel}.crossings`, 4, `${wheel}.crossings`],
    ['bikes[0].tyres.front.size', '50-623', 'bikes[0].tyres.front.size'],
    ['ride.start', '1899-12-31T23:59', 'ride.start'],
    ['ride.start', '2200-01-01T00:00', 'ride.start'],
    ['ride.start', '2026-06-31T08:00', 'ride.start'],
    ['ride.dayStartsH', 24, 'ride.dayStartsH'],
    ['home.country', 'IS', 'home.country'],
    ['home.papers.on', '2026-02-30', 'home.papers.on'],
    ['home.tasks[0].state', 'perhaps', 'home.tasks[0].state'],
    ['bikes[0].checks', [{ check: 'tyres', on: '1 June' }], 'bikes[0].checks[0].on'],
    ['bikes[0].checks', [{ check: 'tyres' }, { check: 'tyres' }], 'bikes[0].checks'],
    ['bench[0].trial', { state: 'half' }, 'bench[0].trial.state'],
    ['ride.country', 'IS', 'ride.country'],
    ['ride.country', 'isl', 'ride.country'],
    ['bikes[0].hanger', 'K3', 'bikes[0].hanger'],
    [`${bolt}.role`, 'Hanger bolt', `${bolt}.role`],
    [hex, { profile: 'valve-core', size: 'Presta' }, `${hex}.size`],
    [hex, { profile: 'hexalobular', size: 25.5 }, `${hex}.size`],
    [hex, { profile: 'hexalobular', size: 101 }, `${hex}.size`],
    [hex, { profile: 'adjustable', size: 80.5 }, `${hex}.size`],
    [`${bolt}.drive`, { profile: 'phillips', size: -1 }, `${bolt}.drive.size`],
    [`${bolt}.drive`, { profile: 'spline', size: 'c 1' }, `${bolt}.drive.size`],
    ['road.points', [[0, 0, 0]], 'road.points'],
  ])('refuses %s %j, which does not go together or is of no use', (path, value, where) => {
    expect(faultsWith(path, value)).toEqual([where])
  })
  it.each([
    ['ride.start', '1900-01-01T00:00'],
    ['ride.start', '2199-12-31T23:59'],
    ['ride.start', null],
    ['road.points', []],
    [`${bolt}.torqueNm`, { least: 5, most: 5 }],
    [`${hex}.setNm`, { least: 5, most: 5 }],
    ['bench[0].pin', { min: 2, max: 2 }],
    [hex, { profile: 'chain-pin' }],
    [`${bolt}.drive`, { profile: 'quick-link' }],
    [`${bolt}.drive`, { profile: 'by-hand' }],
  ])('takes %s %j', (path, value) => {
    expect(faultsWith(path, value)).toEqual([])
  })
  it('refuses two fasteners of one bike by the same name', () => {
    const [bike] = aDocument().bikes
    expect(faultsWith('bikes[0].fasteners', [...(bike?.fasteners ?? []), ...(bike?.fasteners ?? [])])).toEqual([
      'bikes[0].fasteners',
    ])
  })
})
