import { defined } from '#core/validation'
import { hardestNm, type Drive } from '#core/bike'
import { handForceN, turnTaskOf, turnWith, defaultHandN, waysTo } from '#core/fit'
import { driveInWords } from '#wording'
import { catalogue } from '#catalogue'
import { describe, expect, it } from 'vitest'
import { aFastener, aHead } from '../fixtures'

const item = (id: string) => defined(catalogue.items.find((candidate) => candidate.id === id))
const bike = (kind: string) => defined(catalogue.bikes.find((candidate) => candidate.kind === kind))
const drivesOf = (name: RegExp) =>
  catalogue.bikes
    .flatMap(({ fasteners }) => fasteners.filter((fastener) => name.test(fastener.name)))
    .map(({ drive }) => driveInWords(drive))

/*
 * ISO 4762, hexagon socket head cap screws, key sizes: M3 2.5 · M4 3 · M5 4 · M6 5 · M8 6 · M10 8 · M12 10.
 * ISO 272, widths across flats of hexagon products: M4 7 · M5 8 · M6 10 · M8 13.
 * ISO 10664, hexalobular internal driving feature: No. 10 M3 · 20 M4 · 25 M5 · 30 M6.
 */
const iso4762 = { M3: 2.5, M4: 3, M5: 4, M6: 5, M8: 6, M10: 8, M12: 10 }
const iso272 = { M4: 7, M5: 8, M6: 10, M8: 13 }
const iso10664 = { M3: 10, M4: 20, M5: 25, M6: 30 }

describe('drives of the threads a bike has', () => {
  // Which thread sits where is common practice, no source; the drive that belongs to it is the standard's.
  it.each([
    ['cage and rack bolts, M5', /^(Cage|Rack) bolts$/, [`hex ${iso4762.M5}`]],
    [
      'disc callipers and derailleurs, M6 or M10 with the key of M6',
      /^(Calliper bolts|Derailleur bolt)/,
      [`hex ${iso4762.M6}`],
    ],
    ['mudguard stays and rack nuts, M5', /^Mudguard stays$/, [`nut ${iso272.M5}`]],
    ['rotor bolts, M5 low head', /^Rotor bolts/, [`T${iso10664.M5}`]],
    ['crank bolts, M8 with the key of M10', /^Crank bolts$/, [`hex ${iso4762.M10}`]],
  ])('%s', (_, name, drives) => {
    const found = drivesOf(name)
    expect(found.length).toBeGreaterThan(0)
    expect([...new Set(found)]).toEqual(drives)
  })
  it('keys of every size of ISO 4762 from M3 to M10 are to be had, and T25 and T30 of ISO 10664', () => {
    const heads = catalogue.items.flatMap(({ heads: list }) => list)
    const has = (drive: Drive) =>
      heads.some((head) => turnWith(head, turnTaskOf(aFastener(drive, 0), defaultHandN)).verdict === 'turns')
    for (const size of Object.values(iso4762).filter((mm) => mm <= 8))
      expect(has({ profile: 'hex', size }), `${size}`).toBe(true)
    for (const size of [iso10664.M5, iso10664.M6]) expect(has({ profile: 'hexalobular', size }), `T${size}`).toBe(true)
    for (const size of [iso272.M5, iso272.M6, iso272.M8])
      expect(has({ profile: 'flats', size }), `nut ${size}`).toBe(true)
  })
})

describe('force at the hand', () => {
  it('is torque over lever: 48 N·m at 65 mm and at 180 mm, worked by hand', () => {
    expect(handForceN(48, 65)).toBeCloseTo(738.46, 2)
    expect(handForceN(48, 180)).toBeCloseTo(266.67, 2)
  })
  // Planning value: 400 N. Of the order of one-handed pulls in DIN 33411-5 and MIL-STD-1472, both from memory.
  it('stops at what a hand gives', () => {
    const head = aHead({ profile: 'hex', size: 5, leverMm: 100 })
    expect(turnWith(head, turnTaskOf(aFastener({ profile: 'hex', size: 5 }, 24), defaultHandN))).toMatchObject({
      verdict: 'turns',
      handN: 240,
    })
    expect(turnWith(head, turnTaskOf(aFastener({ profile: 'hex', size: 5 }, 39), defaultHandN))).toMatchObject({
      verdict: 'awkward',
      reason: 'hard-pull',
    })
    expect(turnWith(head, turnTaskOf(aFastener({ profile: 'hex', size: 5 }, 41), defaultHandN))).toMatchObject({
      verdict: 'cannot',
      reason: 'no-lever',
    })
    expect(defaultHandN).toBe(400)
  })
})

// Common practice, no source.
describe('what riders know', () => {
  const fastener = (kind: string, name: string) =>
    defined(bike(kind).fasteners.find((candidate) => candidate.name === name))
  it('a folding tool’s 8 mm cannot free a crank bolt and a long 8 mm key can', () => {
    const crank = fastener('hard-tail', 'Crank bolts')
    expect(hardestNm(crank)).toBe(48)
    expect(waysTo(crank, [item('folding-17')])).toMatchObject({ turns: false, best: { reason: 'no-lever' } })
    expect(waysTo(crank, [item('folding-17'), item('key-8')])).toMatchObject({
      turns: true,
      best: { tool: { id: 'key-8' } },
    })
  })
  it('the stub of 8 mm does for pedals with a socket only where they are not tight', () => {
    const pedals = fastener('gravel', 'Pedals')
    expect(waysTo(pedals, [item('stub-8')]).turns).toBe(false)
    const handTight = { ...pedals, torqueNm: { least: 10, most: 12 }, recessMm: 5 }
    expect(waysTo(handTight, [item('stub-8')]).turns).toBe(true)
  })
  it('a 15 mm ring takes a wheel off and cannot get on a pedal; a thin open end can', () => {
    expect(waysTo(fastener('folder', 'Axle nuts, rear'), [item('spanner-15')]).turns).toBe(true)
    expect(waysTo(fastener('folder', 'Pedals'), [item('spanner-15')])).toMatchObject({
      turns: false,
      best: { reason: 'ring-cannot-pass' },
    })
    expect(waysTo(fastener('folder', 'Pedals'), [item('spanner-15-open')]).turns).toBe(true)
  })
  it('a 10 cm adjustable spanner is at its limit on a 15 mm axle nut', () => {
    expect(waysTo(fastener('folder', 'Axle nuts, front'), [item('adjustable')])).toMatchObject({
      turns: true,
      best: { verdict: 'awkward', reason: 'jaw-limit' },
    })
  })
  it('a stubby 5 mm key does not reach under a saddle; a loose key does', () => {
    const saddle = fastener('gravel', 'Saddle clamp')
    const stubby = {
      id: 'stubby',
      comesApart: false,
      heads: [aHead({ profile: 'hex', size: 5, leverMm: 60, reachMm: 15 })],
    }
    expect(waysTo(saddle, [stubby])).toMatchObject({ turns: false, best: { reason: 'too-short' } })
    expect(waysTo(saddle, [item('key-5')]).turns).toBe(true)
  })
  it('a Pozidriv bit slips in a Phillips screw and the reverse, but for low torque', () => {
    const pozidriv = aHead({ profile: 'pozidriv', size: 2 })
    const phillips = aHead({ profile: 'phillips', size: 2 })
    const screw = (profile: 'phillips' | 'pozidriv', nm: number) =>
      turnTaskOf(aFastener({ profile, size: 2 }, nm), defaultHandN)
    expect(turnWith(pozidriv, screw('phillips', 4))).toMatchObject({
      verdict: 'damages',
      reason: 'pozidriv-in-phillips',
    })
    expect(turnWith(phillips, screw('pozidriv', 4))).toMatchObject({
      verdict: 'damages',
      reason: 'phillips-in-pozidriv',
    })
    expect(turnWith(phillips, screw('pozidriv', 0.5)).verdict).toBe('awkward')
    expect(turnWith(phillips, screw('phillips', 4)).verdict).not.toBe('damages')
  })
  it('a spoke key must match the nipple: 3.2 is common, and four sizes exist', () => {
    const nipple = (size: number) => turnTaskOf(aFastener({ profile: 'nipple', size }, 1), defaultHandN)
    const key = (size: number) => aHead({ profile: 'spoke-key', size, leverMm: 16 })
    expect(turnWith(key(3.2), nipple(3.2)).verdict).toBe('turns')
    expect(turnWith(key(3.4), nipple(3.2))).toMatchObject({ verdict: 'damages', reason: 'rounds-off' })
    expect(turnWith(key(3.2), nipple(3.4))).toMatchObject({ verdict: 'cannot', reason: 'wrong-size' })
    for (const size of [3.2, 3.3, 3.4, 3.9]) {
      expect(waysTo(aFastener({ profile: 'nipple', size }, 1), [item('spoke-key-four')]).turns).toBe(true)
    }
  })
  it('a lockring tool without its big wrench turns nothing, and does with a spanner for it', () => {
    const lockring = fastener('gravel', 'Cassette lockring')
    expect(waysTo(lockring, [item('lockring-socket')])).toMatchObject({
      turns: false,
      best: { reason: 'no-own-lever' },
    })
    const bigSpanner = {
      id: 'big',
      comesApart: false,
      heads: [aHead({ profile: 'adjustable', size: 30, leverMm: 250 })],
    }
    expect(waysTo(lockring, [item('lockring-socket'), bigSpanner])).toMatchObject({
      turns: true,
      best: { second: { tool: { id: 'big' } } },
    })
    expect(waysTo(lockring, [item('lockring-tool')]).turns).toBe(true)
  })
})
