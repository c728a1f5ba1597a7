import { catalogue } from '#catalogue'
import { demoShed, demoTrip } from '#catalogue/demo'
import { thingFrom, type Thing } from '#core/bench'
import {
  besideTheTin,
  ownedFrom,
  packedAs,
  packedOf,
  readShedCsv,
  tinG,
  writeShedCsv,
  type OwnedThing,
} from '#core/shed'
import { defined } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const item = (id: string) =>
  defined(
    catalogue.items.find((each) => each.id === id),
    id,
  )
const owned = (id: string, change: Partial<OwnedThing> = {}): OwnedThing => ({
  ...ownedFrom(item(id), id, 'EUR'),
  ...change,
})
const laid = (id: string, change: Partial<Thing> = {}): Thing => ({ ...thingFrom(item(id), id), shed: id, ...change })

const demoBench = demoTrip().bench
const shed = [
  owned('mini-pump', { packed: 1 }),
  owned('tube-622', { count: 3, packed: 2 }),
  owned('boot'),
  owned('wire', { packed: 1 }),
]
const bench = [laid('mini-pump'), laid('tube-622', { count: 3 }), laid('boot'), laid('patch-kit', { shed: null })]

describe('a tin that stays packed', () => {
  it('weighs what is in it: by hand', () => {
    // A pump of 105 g, two tubes of 195 g, 8 g of wire.
    expect(tinG(shed)).toBe(105 + 2 * 195 + 8)
  })
  it('never has more of a thing than there is, and nothing of what a device kept before there were tins', () => {
    expect(packedOf({ packed: 5, count: 2 })).toBe(2)
    const { packed: _, ...older } = owned('boot')
    expect(packedOf(older as OwnedThing)).toBe(0)
  })
  it('is told what a road adds, what it lets stay at home, and what of it nobody has weighed', () => {
    const beside = besideTheTin(bench, shed, { 'tube-622': 3, boot: 1, 'patch-kit': 1 })
    expect(beside.adds).toEqual([
      { name: 'Tube 622 × 40–60', pieces: 1, massG: 195 },
      { name: 'Tyre boot, adhesive', pieces: 1, massG: 9 },
      { name: 'Patch kit, glued, 6 patches', pieces: 1, massG: 26 },
    ])
    expect(beside.spares).toEqual([{ name: 'Mini pump', pieces: 1, massG: 105 }])
    expect(beside.unweighed.map(({ id }) => id)).toEqual(['wire'])
  })
  it('is drawn on by two things of a bench one after the other, where they are the same one of the shed', () => {
    const twice = [laid('tube-622', { id: 'a' }), laid('tube-622', { id: 'b' })]
    const beside = besideTheTin(twice, [owned('tube-622', { count: 3, packed: 1 })], { a: 1, b: 1 })
    expect(beside.adds.map(({ pieces }) => pieces)).toEqual([1])
    expect(beside.spares).toEqual([])
  })
  it('packed like a kit has just what of it is owned', () => {
    const carried = { 'tube-622': 3, boot: 1, 'patch-kit': 1 }
    const next = packedAs(bench, shed, carried)
    expect(next.map(({ id, packed }) => [id, packed])).toEqual([
      ['mini-pump', 0],
      ['tube-622', 3],
      ['boot', 1],
      ['wire', 0],
    ])
    expect(packedAs(bench, next, carried)).toEqual([])
    expect(besideTheTin(bench, next, carried)).toEqual({
      adds: [{ name: 'Patch kit, glued, 6 patches', pieces: 1, massG: 26 }],
      spares: [],
      unweighed: [],
    })
  })
  it('and what is added to it are the kit, less what may stay at home', () => {
    const counts = fc.array(fc.integer({ min: 0, max: 4 }), {
      minLength: demoBench.length,
      maxLength: demoBench.length,
    })
    fc.assert(
      fc.property(
        counts,
        fc.array(fc.integer({ min: 0, max: 4 }), { minLength: demoShed.length, maxLength: demoShed.length }),
        (kit, tin) => {
          // Masses as the shed has them, so that both sides weigh alike.
          const packed = demoShed.map((thing, i) => ({ ...thing, packed: tin[i] ?? 0 }))
          const masses = new Map(packed.map(({ id, massG }) => [id, massG]))
          const onBench = demoBench.map((thing) => ({ ...thing, massG: masses.get(thing.shed ?? '') ?? thing.massG }))
          const carried = Object.fromEntries(onBench.map(({ id, count }, i) => [id, Math.min(count, kit[i] ?? 0)]))
          const { adds, spares, unweighed } = besideTheTin(onBench, packed, carried)
          const sum = (list: readonly { massG: number }[]) => list.reduce((all, { massG }) => all + massG, 0)
          const kitG = onBench.reduce((all, { id, massG }) => all + massG * (carried[id] ?? 0), 0)
          const idleG = unweighed.reduce((all, thing) => all + thing.massG * packedOf(thing), 0)
          expect(tinG(packed) + sum(adds) - sum(spares) - idleG).toBeCloseTo(kitG, 6)
        },
      ),
    )
  })
  it('goes out in a table and comes in again', () => {
    const text = writeShedCsv(shed, catalogue.items)
    expect(readShedCsv(text, catalogue.items, () => 'new').things.map(packedOf)).toEqual(shed.map(packedOf))
    expect(() => readShedCsv('name,grams,packed\r\nPump,90,-1\r\n', catalogue.items, () => 'new')).toThrow(/packed/)
  })
})
