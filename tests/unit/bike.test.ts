import { bikeFrom, bikeStarts, catalogue } from '#catalogue'
import {
  bikeTraits,
  calculatedSpokeMm,
  defaultFasteners,
  expandTemplate,
  fastenersAfterChange,
  hardestNm,
  linksWhenNew,
  placesLongEnough,
  storageSchema,
  singleSpeedsOf,
  spokesOf,
  spokeToBuyMm,
  traitsOf,
  tyreSchema,
  wheelGroups,
  wheelsOf,
  wholeBike,
  type Bike,
  type BikeTrait,
  type Tyre,
} from '#core/bike'
import { describe, expect, it } from 'vitest'
import { aFastener } from '../fixtures'

const gravel = bikeFrom('gravel', 'b')
const tyre = tyreSchema.parse({ size: '50-622' })
const withTyres = (front: Partial<Tyre>, rear: Partial<Tyre>): Bike => ({
  ...gravel,
  tyres: { front: { ...tyre, ...front }, rear: { ...tyre, ...rear } },
})

describe('wheels of a bike', () => {
  it('are counted together where their tyres are alike to a hazard: bead, tubeless, protection and tread', () => {
    expect(wheelGroups(withTyres({}, { size: '47-622', rideBar: 3, mostBar: 4 }))).toEqual([
      { label: '', wheels: 2, tyre: { ...tyre, size: '47-622', rideBar: 3, mostBar: 4 } },
    ])
  })
  it.each<Partial<Tyre>>([{ size: '50-584' }, { tubeless: true }, { protection: 'tough' }, { treadLeft: 0.5 }])(
    'are told apart where one has %j',
    (other) => {
      expect(wheelGroups(withTyres({}, other))).toEqual([
        { label: 'front', wheels: 1, tyre },
        { label: 'rear', wheels: 1, tyre: { ...tyre, ...other } },
      ])
    },
  )
  it('are named: both, or the one', () => {
    expect(wheelsOf({ label: '' })).toEqual(['front', 'rear'])
    expect(wheelsOf({ label: 'front' })).toEqual(['front'])
    expect(wheelsOf({ label: 'rear' })).toEqual(['rear'])
  })
  it('stand for the whole bike by the rear one', () => {
    const bike = withTyres({}, { treadLeft: 0.3 })
    expect(wholeBike(bike)).toEqual({ label: '', wheels: 1, tyre: bike.tyres.rear })
  })
})

describe('traits of a bike', () => {
  /** What a bike of nothing but defaults is. */
  const plain: Bike = {
    ...gravel,
    gears: 'single',
    shifting: 'none',
    brakes: 'rim',
    padCompound: 'rubber',
    pedals: 'flat',
    racks: { front: false, rear: false },
    suspension: { forkMm: 0, rearMm: 0 },
    motor: 'none',
    leatherSaddle: false,
    lights: 'none',
    frame: { ...gravel.frame, shape: 'diamond' },
    wheels: { ...gravel.wheels, rear: { ...gravel.wheels.rear, freeDriveSide: false } },
    fasteners: [],
  }
  const ofPlain: BikeTrait[] = ['tubed', 'single-speed', 'rim-brake', 'cable-brake']
  const sorted = (traits: Iterable<BikeTrait>) => [...traits].sort()
  const changed = (more: Partial<Bike>, tyreMore: Partial<Tyre> = {}) =>
    sorted(traitsOf({ ...plain, ...more }, { ...tyre, protection: 'normal', ...tyreMore }))

  it('are few on a plain one', () => {
    expect(changed({})).toEqual(sorted(ofPlain))
  })
  it.each<[change: Partial<Bike>, come: BikeTrait[], go: BikeTrait[]]>([
    [{ gears: 'hub', shifting: 'cable' }, ['hub-gear', 'cable-shift'], ['single-speed']],
    [{ gears: 'single', shifting: 'cable' }, [], []],
    [{ gears: 'hub', shifting: 'electric' }, ['hub-gear', 'electric-shift'], ['single-speed']],
    [{ brakes: 'cable-disc' }, ['disc-brake'], ['rim-brake']],
    [{ brakes: 'hydraulic-disc' }, ['disc-brake', 'hydraulic'], ['rim-brake', 'cable-brake']],
    [{ suspension: { forkMm: 1, rearMm: 0 } }, ['suspension-fork'], []],
    [{ suspension: { forkMm: 0, rearMm: 1 } }, ['rear-suspension'], []],
    [{ racks: { front: true, rear: false } }, ['rack'], []],
    [{ racks: { front: false, rear: true } }, ['rack'], []],
    [{ pedals: 'two-bolt' }, ['cleats'], []],
    [{ pedals: 'three-bolt' }, ['cleats'], []],
    [{ padCompound: 'organic' }, ['organic-pads'], []],
    [{ padCompound: 'sintered' }, ['sintered-pads'], []],
    [{ motor: 'mid' }, ['motor'], []],
    [{ frame: { ...plain.frame, shape: 'folding' } }, ['folds'], []],
    [{ leatherSaddle: true }, ['leather-saddle'], []],
    [{ lights: 'battery' }, ['lights'], []],
    [{ lights: 'dynamo' }, ['lights'], []],
    [{ hangerOfFrame: true }, ['hanger-of-frame'], []],
    [{ camp: { tent: true, mat: false } }, ['tent'], []],
    [{ camp: { tent: false, mat: true } }, ['mat'], []],
    [{ fasteners: [aFastener({ profile: 'flats', size: 32 }, 20, { role: 'headset-nut' })] }, ['threaded-headset'], []],
    [{ fasteners: [aFastener({ profile: 'hex', size: 5 }, 20, { role: 'hanger-bolt' })] }, [], []],
    [{ wheels: { ...plain.wheels, rear: { ...plain.wheels.rear, freeDriveSide: true } } }, ['free-drive-side'], []],
    // The front wheel has no gears in the way.
    [{ wheels: { ...plain.wheels, front: { ...plain.wheels.front, freeDriveSide: true } } }, [], []],
  ])('change with %j', (change, come, go) => {
    expect(changed(change)).toEqual(sorted([...ofPlain.filter((trait) => !go.includes(trait)), ...come]))
  })
  it.each<[change: Partial<Tyre>, come: BikeTrait[], go: BikeTrait[]]>([
    [{ tubeless: true }, ['tubeless'], ['tubed']],
    [{ protection: 'light' }, ['light-tyre'], []],
    [{ protection: 'tough' }, ['tough-tyre'], []],
    [{ size: '40-451' }, ['small-wheel'], []],
    [{ size: '40-457' }, [], []],
  ])('change with a tyre of %j', (change, come, go) => {
    expect(changed({}, change)).toEqual(sorted([...ofPlain.filter((trait) => !go.includes(trait)), ...come]))
  })
  it('say that it can be made a single speed where a chain round two of its wheels would hold', () => {
    const derailleur = { gears: 'derailleur' as const, shifting: 'cable' as const }
    expect(singleSpeedsOf({ ...plain, ...derailleur })[0]?.holds).toBe(true)
    expect(changed(derailleur)).toContain('can-be-single-speed')
    // No chain, no gear; and what has one gear needs not be made one.
    expect(changed({ ...derailleur, chainLinks: 50 })).not.toContain('can-be-single-speed')
    expect(changed({ gears: 'hub', shifting: 'cable' })).not.toContain('can-be-single-speed')
  })
  it('are each had by some kind of bike of the catalogue, or by one that has been changed', () => {
    const said = {
      boltsLocked: true,
      hangerOfFrame: true,
      camp: { tent: true, mat: true },
      shifting: 'electric' as const,
    }
    const light = { protection: 'light' as const }
    const had = new Set(
      catalogue.bikes.flatMap((bike) => [
        ...traitsOf(bike, bike.tyres.rear),
        ...traitsOf({ ...bike, ...said }, { ...bike.tyres.rear, ...light }),
      ]),
    )
    expect(bikeTraits.filter((trait) => !had.has(trait))).toEqual(['hub-gear', 'free-drive-side'])
  })
})

describe('sizes of a bike in a template', () => {
  const bike: Bike = { ...gravel, valve: 'presta', speeds: 11, hanger: 'k3', padShape: 'b7', pedals: 'two-bolt' }
  it.each([
    ['tube-{bead}', 'tube-622'],
    ['inflate-{valve}', 'inflate-presta'],
    ['quick-link-{speeds}', 'quick-link-11'],
    ['hanger-{hanger}', 'hanger-k3'],
    ['pads-{pad}', 'pads-b7'],
    ['cleat-{cleat}', 'cleat-two'],
    ['{bead} and {speeds}', '622 and 11'],
    ['patch', 'patch'],
  ])('“%s” becomes “%s”', (template, expanded) => {
    expect(expandTemplate(template, bike, tyre)).toBe(expanded)
  })
  it('cleats have three bolts on a road pedal', () => {
    expect(expandTemplate('cleat-{cleat}', { ...bike, pedals: 'three-bolt' }, tyre)).toBe('cleat-three')
  })
  it('spokes are those of each side, to the millimetre', () => {
    const sides = { frontLeft: 290.4, frontRight: 288.6, rearLeft: 292.5, rearRight: 286.49 }
    const side = (wheel: Bike['wheels']['front'], leftMm: number, rightMm: number) => ({
      ...wheel,
      left: { ...wheel.left, measuredMm: leftMm },
      right: { ...wheel.right, measuredMm: rightMm },
    })
    const measured: Bike = {
      ...bike,
      wheels: {
        front: side(bike.wheels.front, sides.frontLeft, sides.frontRight),
        rear: side(bike.wheels.rear, sides.rearLeft, sides.rearRight),
      },
    }
    const names = ['spokeFrontLeft', 'spokeFrontRight', 'spokeRearLeft', 'spokeRearDrive']
    expect(names.map((name) => expandTemplate(`{${name}}`, measured, tyre))).toEqual(['290', '289', '293', '286'])
    expect(spokeToBuyMm(measured, 'rear right')).toBe(286)
    expect(spokesOf(measured).map(({ id, measured: taken }) => [id, taken])).toEqual([
      ['b/front left', true],
      ['b/front right', true],
      ['b/rear left', true],
      ['b/rear right', true],
    ])
  })
  it('a mark that is no size of a bike is a mistake of whoever wrote it', () => {
    expect(() => expandTemplate('tube-{width}', bike, tyre)).toThrow('{width} is not a size of a bike')
    expect(() => expandTemplate('tube-{bead}', bike, { ...tyre, size: 'none' })).toThrow('{bead} is not a size')
  })
})

describe('spokes of a bike', () => {
  it('are calculated where nobody has measured them', () => {
    const [frontLeft] = spokesOf(gravel)
    expect(frontLeft).toEqual({
      id: 'b/front left',
      place: 'front left',
      lengthMm: calculatedSpokeMm(gravel.wheels.front, 'left'),
      measured: false,
    })
  })
})

describe('long things', () => {
  it('go where there is a centimetre more than they are long, in the bike’s own storage or its seat tube', () => {
    const bike = {
      storage: [
        { id: 'hatch', name: 'a hatch', volumeMl: 900, longestMm: 200 },
        { id: 'bag', name: 'a bag', volumeMl: 900, longestMm: 300 },
      ].map((place) => storageSchema.parse(place)),
      frame: { ...gravel.frame, seatTubeMm: 460 },
    }
    const seatTube = 'inside the seat tube, wrapped in tape'
    expect(placesLongEnough(190, bike)).toEqual(['a hatch', 'a bag', seatTube])
    expect(placesLongEnough(191, bike)).toEqual(['a bag', seatTube])
    expect(placesLongEnough(290, bike)).toEqual(['a bag', seatTube])
    expect(placesLongEnough(300, bike)).toEqual([seatTube])
    expect(placesLongEnough(301, bike)).toEqual([])
  })
})

describe('the chain of a bike', () => {
  it('when new reaches round the largest ring and the largest sprocket, and an inch more', () => {
    // By hand: 2 · 430 / 12.7 + (40 + 42) / 2 + (2 / 2π)² · 12.7 / 430 = 108.7; and 2, rounded up to an even number.
    const bike = { frame: { ...gravel.frame, chainstayMm: 430 }, chainrings: [26, 40], sprockets: [11, 24, 42] }
    expect(linksWhenNew(bike)).toBe(112)
  })
})

describe('a fastener', () => {
  it('asks most for the larger of tightening it enough and getting it loose', () => {
    const torqueNm = { least: 5, most: 8 }
    expect(hardestNm({ torqueNm, looseNm: null })).toBe(8)
    expect(hardestNm({ torqueNm, looseNm: 6 })).toBe(6)
    expect(hardestNm({ torqueNm, looseNm: 3 })).toBe(5)
    expect(hardestNm({ torqueNm, looseNm: 20 })).toBe(20)
  })
})

describe('the usual fasteners of a bike', () => {
  const kinds = bikeStarts.map(({ id }) => bikeFrom(id, id))
  const roles = (bike: Bike) => new Set(defaultFasteners(bike, kinds).map(({ role }) => role))
  const partsOf = (bike: Bike) => new Set(defaultFasteners(bike, kinds).map(({ part }) => part))

  it('are those of its kind, where nothing of it differs', () => {
    const ids = (list: Bike['fasteners']) => list.map(({ id }) => id)
    for (const bike of kinds) expect(ids(defaultFasteners(bike, kinds)).sort()).toEqual(ids(bike.fasteners).sort())
  })
  it('hold on to what the passport says of valves and nipples', () => {
    const bike: Bike = {
      ...gravel,
      valve: 'schrader',
      wheels: {
        front: { ...gravel.wheels.front, nippleMm: 3.4, holes: 28 },
        rear: { ...gravel.wheels.rear, nippleMm: 4.4, holes: 36 },
      },
    }
    const byRole = new Map(defaultFasteners(bike, kinds).map((fastener) => [fastener.role, fastener]))
    expect(byRole.get('valve-core')?.drive).toEqual({ profile: 'valve-core', size: 'schrader' })
    expect(byRole.get('nipple-front')).toMatchObject({ drive: { profile: 'nipple', size: 3.4 }, count: 28 })
    expect(byRole.get('nipple-rear')).toMatchObject({ drive: { profile: 'nipple', size: 4.4 }, count: 36 })
  })
  it('come and go with racks, mudguards, gears, motor, suspension, brakes and pedals', () => {
    const bare: Bike = { ...gravel, racks: { front: false, rear: false }, mudguards: false }
    expect(partsOf(bare)).not.toContain('rack')
    expect(partsOf({ ...bare, racks: { front: true, rear: false } })).toContain('rack')
    expect(partsOf({ ...bare, racks: { front: false, rear: true } })).toContain('rack')
    expect(partsOf(bare)).not.toContain('mudguards')
    expect(partsOf({ ...bare, mudguards: true })).toContain('mudguards')
    expect(partsOf(bare)).toContain('derailleur')
    expect(partsOf({ ...bare, gears: 'single' })).not.toContain('derailleur')
    expect(partsOf({ ...bare, gears: 'hub' })).not.toContain('derailleur')
    expect(partsOf(bare)).not.toContain('motor')
    expect(partsOf({ ...bare, motor: 'mid' })).toContain('motor')
    expect(partsOf(bare)).not.toContain('pivots')
    expect(partsOf({ ...bare, suspension: { forkMm: 120, rearMm: 120 } })).toContain('pivots')
    expect(roles({ ...bare, pedals: 'flat' })).not.toContain('cleat-bolt')
    expect(roles({ ...bare, pedals: 'two-bolt' })).toContain('cleat-bolt')
    expect(roles({ ...bare, brakes: 'hydraulic-disc' })).not.toContain('brake-anchor')
    expect(roles({ ...bare, brakes: 'cable-disc' })).toContain('brake-anchor')
    expect(roles({ ...bare, brakes: 'rim' })).toContain('brake-anchor')
    expect(partsOf({ ...bare, brakes: 'rim' })).not.toContain('front rotor')
  })
  it('follow a change, and leave alone what somebody has written', () => {
    const before: Bike = { ...gravel, racks: { front: false, rear: false }, pedals: 'two-bolt' }
    const own = aFastener({ profile: 'hex', size: 3 }, 2, { id: 'own', name: 'the bell' })
    const usual = defaultFasteners(before, kinds)
    const [first, ...others] = usual
    const written = { ...first, id: first?.id ?? '', name: 'as I call it' } as (typeof usual)[number]
    const bike: Bike = { ...before, fasteners: [written, ...others, own] }

    const withRack: Bike = { ...bike, racks: { front: false, rear: true } }
    const after = fastenersAfterChange(bike, withRack, kinds)
    expect(after.filter(({ part }) => part === 'rack').length).toBeGreaterThan(0)
    expect(after).toContainEqual(written)
    expect(after).toContainEqual(own)
    expect(after.length).toBe(bike.fasteners.length + after.filter(({ part }) => part === 'rack').length)

    const back = fastenersAfterChange({ ...withRack, fasteners: after }, { ...bike, fasteners: after }, kinds)
    expect(back).toEqual(bike.fasteners)
  })
  it('take over a size that the passport says anew, but not where somebody has written one', () => {
    const usual: Bike = { ...gravel, valve: 'presta' }
    const bike: Bike = { ...usual, fasteners: defaultFasteners(usual, kinds) }
    const sizeOf = (list: Bike['fasteners']) => list.find(({ role }) => role === 'valve-core')?.drive
    const changed: Bike = { ...bike, valve: 'schrader' }
    expect(sizeOf(fastenersAfterChange(bike, changed, kinds))).toEqual({ profile: 'valve-core', size: 'schrader' })
    const written: Bike = {
      ...bike,
      fasteners: bike.fasteners.map((fastener) =>
        fastener.role === 'valve-core' ? { ...fastener, name: 'cores that are stiff' } : fastener,
      ),
    }
    const kept = fastenersAfterChange(written, { ...written, valve: 'schrader' }, kinds)
    expect(sizeOf(kept)).toEqual({ profile: 'valve-core', size: 'presta' })
  })
  it('that were taken off by hand stay off', () => {
    const usual = defaultFasteners(gravel, kinds)
    const bike: Bike = { ...gravel, mudguards: false, fasteners: usual.slice(1) }
    const after = fastenersAfterChange(bike, { ...bike, mudguards: true }, kinds)
    expect(after.map(({ id }) => id)).not.toContain(usual[0]?.id)
  })
  it('are none for a kind that is not among those given, whatever it has', () => {
    const bare = { brakes: 'hydraulic-disc', pedals: 'flat' } as const
    expect(defaultFasteners({ ...gravel, ...bare }, [])).toEqual([])
    expect(defaultFasteners({ ...gravel, brakes: 'rim', pedals: 'two-bolt' }, [])).toEqual([])
  })
  it('have the anchor of a cable where brakes are pulled by one, though those of the kind have none', () => {
    const hydraulic: Bike = { ...gravel, brakes: 'hydraulic-disc' }
    const own: Bike = { ...hydraulic, fasteners: defaultFasteners(hydraulic, kinds) }
    const lent = aFastener({ profile: 'hex', size: 5 }, 6, { id: 'anchor', role: 'brake-anchor', part: 'cables' })
    const other: Bike = { ...bikeFrom('tourer', 't'), brakes: 'rim', fasteners: [lent, { ...lent, id: 'o', role: '' }] }
    const anchors = (brakes: Bike['brakes'], list: readonly Bike[]) =>
      defaultFasteners({ ...own, brakes }, list)
        .filter(({ role }) => role === 'brake-anchor')
        .map(({ id }) => id)
    expect(anchors('hydraulic-disc', [own, other])).toEqual([])
    expect(anchors('cable-disc', [own, other])).toEqual(['anchor'])
    expect(anchors('rim', [own, other])).toEqual(['anchor'])
    expect(anchors('rim', [own])).toEqual([])
    expect(defaultFasteners({ ...own, brakes: 'rim' }, [own, other]).map(({ id }) => id)).not.toContain('o')
  })
})
