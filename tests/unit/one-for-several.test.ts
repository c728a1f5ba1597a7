import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { thingFrom, thingSchema, type Thing } from '#core/bench'
import { oneForSeveral } from '#core/candidates'
import { crewFit, defaultHandN, readHeads, toolsOn } from '#core/fit'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

const { bikes, bench } = demoTrip()
const everything = catalogue.items.map((item) => thingFrom(item, item.id))
const tool = (id: string, massG: number, heads: string, change: Partial<Thing> = {}): Thing => ({
  ...thingSchema.parse({ id, name: id, massG, heads: readHeads(heads, 'heads') }),
  ...change,
})
const turned = (things: readonly Thing[]) =>
  crewFit(bikes, toolsOn(things), defaultHandN).fasteners.map(({ coverage }) => coverage === 'turned')

describe('one tool for several', () => {
  const singles = [tool('four', 30, 'hex4'), tool('five', 40, 'hex5'), tool('twenty-five', 25, 'T25')]
  const folding = tool('folding', 60, 'hex4 hex5 T25')
  it('stands for all that it turns, and saves their grams less its own: by hand', () => {
    const [found] = oneForSeveral(bikes, singles, [folding], defaultHandN)
    expect(found?.instead.map(({ id }) => id)).toEqual(['five', 'four', 'twenty-five'])
    expect(found?.savedG).toBe(30 + 40 + 25 - 60)
  })
  it('costs no grams where it is carried already', () => {
    const [found] = oneForSeveral(bikes, [...singles, folding], [folding], defaultHandN)
    expect(found?.savedG).toBe(95)
  })
  it('is not told of where it is heavier, or stands for one only', () => {
    expect(oneForSeveral(bikes, singles, [{ ...folding, massG: 95 }], defaultHandN)).toEqual([])
    expect(oneForSeveral(bikes, singles.slice(0, 1), [{ ...folding, massG: 5 }], defaultHandN)).toEqual([])
  })
  it('leaves what does something that nothing else does', () => {
    const holding = singles.map((each, i) => (i === 0 ? { ...each, provides: ['grip'] } : each))
    const [found] = oneForSeveral(bikes, holding, [{ ...folding, massG: 20 }], defaultHandN)
    expect(found?.instead.map(({ id }) => id)).toEqual(['five', 'twenty-five'])
    const gripping = { ...folding, massG: 20, provides: ['grip'] }
    expect(oneForSeveral(bikes, holding, [gripping], defaultHandN)[0]?.instead).toHaveLength(3)
  })
  it('never stands for the only tool that a torque is set with', () => {
    const torque = thingFrom(defined(catalogue.items.find(({ id }) => id === 'torque-key')), 'torque-key')
    for (const { instead } of oneForSeveral(bikes, [...singles, torque], everything, defaultHandN))
      expect(instead).not.toContain(torque)
  })
  it('names the jobs that a short lever makes harder', () => {
    const long = singles.map((each) => ({ ...each, heads: each.heads.map((head) => ({ ...head, leverMm: 120 })) }))
    const short = { ...folding, heads: folding.heads.map((head) => ({ ...head, leverMm: 36 })) }
    const [found] = oneForSeveral(bikes, long, [short], defaultHandN)
    expect(found?.harder.length).toBeGreaterThan(0)
    for (const { with: after, instead } of found?.harder ?? []) {
      expect(after.fastener).toEqual(instead.fastener)
      expect(after.best?.handN ?? 0).toBeGreaterThan(instead.best?.handN ?? Infinity)
    }
    expect(
      oneForSeveral(bikes, long, [{ ...short, heads: long.flatMap(({ heads }) => heads) }], defaultHandN)[0]?.harder,
    ).toEqual([])
  })
  it('on the demo leaves everything turned that was, saves what it says, and nothing more could stay', () => {
    const carried = bench.slice(0, 40)
    const before = turned(carried)
    const found = oneForSeveral(bikes, carried, everything, defaultHandN)
    expect(found.length).toBeGreaterThan(0)
    for (const { tool: each, instead, savedG } of found) {
      const kept = [...carried.filter((thing) => !instead.includes(thing) && thing.id !== each.id), each]
      turned(kept).forEach((isTurned, i) => expect(isTurned || !nth(before, i)).toBe(true))
      const ownG = carried.some(({ id }) => id === each.id) ? 0 : each.massG
      expect(savedG).toBeCloseTo(instead.reduce((sum, { massG }) => sum + massG, 0) - ownG, 9)
      expect(instead.length).toBeGreaterThan(1)
    }
    const savings = found.map(({ savedG }) => savedG)
    expect(savings).toEqual([...savings].sort((a, b) => b - a))
  })
})
