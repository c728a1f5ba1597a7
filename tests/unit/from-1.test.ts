import { defined } from '#core/validation'
import { spokeToBuyMm } from '#core/bike'
import { turnsWith } from '#core/fit'
import { readTrip } from '#core/trip'
import { headInWords } from '#wording'
import { catalogue } from '#catalogue'
import { describe, expect, it } from 'vitest'

const old = (change: object) => readTrip({ format: 'rag-tin.trip/1', name: 'Of old', ...change }, catalogue)
const tyres = (size: string) => ({ front: { size }, rear: { size } })

describe('a trip of the first format', () => {
  it('has its bikes’ passports filled in, what was known kept', () => {
    const { bikes } = old({
      bikes: [
        {
          id: 'b',
          name: 'B',
          tyres: tyres('45-622'),
          speeds: 12,
          hanger: 'k3',
          brakes: 'hydraulic-disc',
          rack: true,
          cleats: true,
          padLeft: 0.4,
          spokes: { nippleMm: 3.4, frontMm: 291, rearLeftMm: 292, rearDriveMm: 288 },
        },
      ],
    })
    const [bike] = bikes
    expect(bike).toMatchObject({
      kind: 'tourer',
      speeds: 12,
      hanger: 'k3',
      padLeft: 0.4,
      pedals: 'two-bolt',
      racks: { rear: true },
    })
    expect(spokeToBuyMm(defined(bike), 'rear right')).toBe(288)
    expect(defined(bike).wheels.front.nippleMm).toBe(3.4)
    const names = defined(bike).fasteners.map(({ name }) => name)
    expect(names).toEqual(expect.arrayContaining(['Rotor bolts, front', 'Rack bolts', 'Cleat bolts']))
    expect(names).not.toContain('Pad nuts, front')
  })
  it.each([
    [{ tyres: tyres('40-406') }, 'folder'],
    [{ tyres: tyres('42-622'), gears: 'single' }, 'single-speed'],
    [{ tyres: tyres('60-622'), rearSuspension: true }, 'full-suspension'],
    [{ tyres: tyres('100-559') }, 'fat-electric'],
    [{ tyres: tyres('57-622') }, 'hard-tail'],
    [{ tyres: tyres('40-622'), brakes: 'rim' }, 'tourer'],
    [{ tyres: tyres('40-622') }, 'gravel'],
    [{ tyres: tyres('40-622'), rack: true }, 'tourer'],
    [{ tyres: tyres('40-451') }, 'folder'],
    [{ tyres: tyres('40-457') }, 'gravel'],
    [{ tyres: tyres('90-559') }, 'fat-electric'],
    [{ tyres: tyres('89-559') }, 'hard-tail'],
    [{ tyres: tyres('54-622') }, 'hard-tail'],
    [{ tyres: tyres('53-622') }, 'gravel'],
    [{ tyres: tyres('40-406'), gears: 'single' }, 'single-speed'],
    [{ tyres: tyres('40-406'), rearSuspension: true }, 'full-suspension'],
    [{ tyres: tyres('40-622'), kind: 'hard-tail' }, 'hard-tail'],
  ])('%j is taken for a %s', (bike, kind) => {
    const [read] = old({ bikes: [{ id: 'b', name: 'B', ...bike }] }).bikes
    expect(defined(read).kind).toBe(kind)
    expect(defined(read).fasteners.length).toBeGreaterThan(15)
  })
  it('has the parts that its few words said, and none that they did not', () => {
    const read = (bike: object) =>
      defined(old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('40-622'), ...bike }] }).bikes[0])
    const plain = read({})
    expect(plain).toMatchObject({
      suspension: { forkMm: 0, rearMm: 0 },
      racks: { front: false, rear: false },
      pedals: 'flat',
      padCompound: 'organic',
      wheels: { front: { left: { measuredMm: null } }, rear: { right: { measuredMm: null } } },
    })
    expect(read({ rearSuspension: true }).suspension).toEqual({ forkMm: 0, rearMm: 120 })
    expect(read({ brakes: 'rim' }).padCompound).toBe('rubber')
    const start = defined(catalogue.bikes.find(({ kind }) => kind === 'gravel'))
    expect(plain.frame).toEqual(start.frame)
    expect(plain.rims).toEqual(start.rims)
    expect(plain.wheels.front.nippleMm).toBe(start.wheels.front.nippleMm)
    // The largest sprockets of the kind, as many as were said.
    expect(plain.sprockets).toEqual(start.sprockets)
    expect(read({ speeds: 3 }).sprockets).toEqual(start.sprockets.slice(-3))
    expect(read({ speeds: start.sprockets.length }).sprockets).toEqual(start.sprockets)
    expect(read({ speeds: 14 }).sprockets).toEqual(start.sprockets)
    const hardTail = defined(catalogue.bikes.find(({ kind }) => kind === 'hard-tail'))
    expect(hardTail.frame).not.toEqual(start.frame)
    expect(read({ kind: 'hard-tail' }).frame).toEqual(hardTail.frame)
    const laced = read({ spokes: { frontMm: 290, rearLeftMm: 291, rearDriveMm: 287 } })
    expect([laced.wheels.front.left.measuredMm, laced.wheels.front.right.measuredMm]).toEqual([290, 290])
    expect([laced.wheels.rear.left.measuredMm, laced.wheels.rear.right.measuredMm]).toEqual([291, 287])
  })
  it('with a kind or a size that there is not is refused in words, not broken over', () => {
    expect(() => old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('40-622'), kind: 'unicycle', speeds: 3 }] })).toThrow(
      /bikes\[0\]\.kind: "unicycle"/,
    )
    expect(() => old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('40-622'), kind: 'unicycle' }] })).toThrow(
      /^bikes\[0\]\.kind: "unicycle"[^\n]*$/,
    )
    expect(() => old({ bikes: [7, null, 'a', []] })).toThrow(/bikes\[0\]: 7/)
    expect(() => old({ bikes: [{ id: 'b', name: 'B', tyres: 7 }] })).toThrow(/bikes\[0\]\.tyres: 7/)
    expect(() => old({ bench: [{ id: 't', name: 'T', massG: 1, provides: 7 }] })).toThrow(/bench\[0\]\.provides/)
    expect(() => old({ bench: [{ id: 't', name: 'T', massG: 1, provides: ['hex-900'] }] })).toThrow(
      /bench\[0\]\.provides: "hex-900"/,
    )
    const [bike] = old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('40-622'), spokes: null }] }).bikes
    expect(defined(bike).wheels.front.left.measuredMm).toBeNull()
  })
  it('loose keys of the catalogue come apart, its other tools do not', () => {
    const apart = defined(catalogue.items.find(({ comesApart, heads }) => comesApart && heads.length > 0))
    const { bench } = old({
      bench: [
        { id: 'a', name: 'A', massG: 1, from: apart.id, provides: ['hex-4'] },
        { id: 'b', name: 'B', massG: 1, from: apart.id, provides: ['grip'] },
        { id: 'c', name: 'C', massG: 1, measures: {} },
      ],
    })
    expect(bench.map(({ comesApart }) => comesApart)).toEqual([true, true, false])
    expect(bench.map(({ heads }) => heads.length)).toEqual([apart.heads.length, 0, 0])
  })
  it('that already has what came later is taken as it stands', () => {
    const [bike] = old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('40-622'), fasteners: [], rack: true }] }).bikes
    expect(defined(bike)).toMatchObject({ fasteners: [], racks: { rear: false } })
    const [thing] = old({ bench: [{ id: 't', name: 'T', massG: 1, heads: [] }] }).bench
    expect(defined(thing).heads).toEqual([])
  })
  it.each([
    ['phillips-2', { profile: 'phillips', size: 2 }],
    ['slot-4', { profile: 'slot', size: 4 }],
    ['spanner-15', { profile: 'open-end', size: 15, leverMm: 120, thickMm: 5 }],
    ['spoke-key-3.2', { profile: 'spoke-key', size: 3.2, leverMm: 16 }],
    ['core-presta', { profile: 'valve-core', size: 'presta', leverMm: 9, spins: true }],
    ['hex-5', { profile: 'hex', size: 5, leverMm: 150 }],
    ['torx-25', { profile: 'hexalobular', size: 25 }],
    ['adjustable', { profile: 'adjustable', size: 16, leverMm: 95 }],
    ['lockring', { profile: 'spline', size: 'c1', leverMm: 170, reachMm: 30 }],
    ['break-chain', { profile: 'chain-pin', leverMm: 35, spins: true }],
    ['close-link', { profile: 'link-pliers', leverMm: 60 }],
    ['torque', { profile: 'hex', size: 5, setNm: { least: 4, most: 6 } }],
  ])('what did “%s” has the head for it', (id, head) => {
    const [thing] = old({ bench: [{ id: 't', name: 'T', massG: 1, provides: [id] }] }).bench
    expect(defined(thing)).toMatchObject({ provides: [], heads: [head], comesApart: false })
  })
  it('keys of several sizes are a folding tool, with its short lever', () => {
    const [thing] = old({ bench: [{ id: 't', name: 'T', massG: 1, provides: ['hex-4', 'hex-5', 'torx-25'] }] }).bench
    expect(defined(thing).heads.map(({ leverMm }) => leverMm)).toEqual([65, 65, 80])
  })
  it('has what its tools turn said by their heads', () => {
    const { bench } = old({
      bench: [
        {
          id: 'own',
          name: 'Own keys',
          massG: 90,
          provides: ['hex-4', 'hex-5', 'torx-25', 'grip', 'spoke-key-3.2', 'core-presta', 'break-chain'],
        },
        { id: 'long', name: 'Long key', massG: 66, provides: ['hex-8'] },
        { id: 'folding', name: 'Folding', massG: 168, from: 'folding-17', provides: ['hex-4', 'hex-5'] },
        { id: 'pump', name: 'Pump', massG: 100, from: 'mini-pump', provides: ['inflate-presta'] },
      ],
    })
    const [own, long, folding, pump] = bench
    expect(defined(own).heads.map(headInWords)).toEqual([
      'hex 4',
      'hex 5',
      'T25',
      'spoke key 3.2',
      'core key, presta',
      'chain breaker',
    ])
    expect(defined(own).provides).toEqual(['grip'])
    // A key for one size alone has a lever worth the name: it freed crank bolts before, and does now.
    const crank = defined(
      defined(catalogue.bikes.find(({ kind }) => kind === 'hard-tail')).fasteners.find(
        ({ role }) => role === 'crank-bolt',
      ),
    )
    expect(turnsWith(crank, [defined(long)])).toBe(true)
    expect(defined(folding).heads).toHaveLength(17)
    expect(pump).toMatchObject({ heads: [], measures: { strokeMl: 42 } })
  })
  it('is refused where it never made sense, saying where', () => {
    expect(() => old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('28 inch') }] })).toThrow(
      /bikes\[0\]\.tyres\.front\.size/,
    )
    expect(() => old({ bench: [{ id: 'x', name: 'X', massG: 1, provides: ['fly'] }] })).toThrow(
      /bench\[0\]\.provides: "fly"/,
    )
    expect(() => old({ bikes: 'none' })).toThrow(/bikes: "none"/)
  })
})
