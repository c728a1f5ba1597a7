import { headSchema, type Head, type Thing, thingSchema } from '#core/bench'
import type { Drive, Fastener } from '#core/bike'
import {
  bigWrench,
  compareTurnResults,
  crewFit,
  defaultHandN,
  engagementOf,
  fitView,
  handForceN,
  holdersOf,
  itemsThatTurn,
  leversFor,
  lightestAddition,
  readDrive,
  readHead,
  readHeads,
  toolHeadsOf,
  toolsOn,
  turnTaskOf,
  turnWith,
  usableTogether,
  waysTo,
  withoutImplied,
  worstTurnResult,
  type TurnResult,
} from '#core/fit'
import { catalogueItemSchema, type CatalogueItem } from '#core/bench'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { aFastener, aHead, aTool } from '../fixtures'

/** "hex 5 on hex 5 at 10" as a head and a drive. */
const head = (profile: Head['profile'], size?: number | string) => headSchema.parse({ profile, size })
const held = (head: Head, drive: Drive, torqueNm = 5) => {
  const { verdict, reason } = engagementOf(head, drive, torqueNm)
  return `${verdict}: ${reason}`
}

describe('a head on a drive', () => {
  const hex = (size: number): Drive => ({ profile: 'hex', size })
  const flats = (size: number): Drive => ({ profile: 'flats', size })
  const slot = (size: number): Drive => ({ profile: 'slot', size })
  const nipple = (size: number): Drive => ({ profile: 'nipple', size })

  it.each<[Head, Drive, string]>([
    // A key may be a twentieth of a millimetre off, and goes into a socket larger than it by an eighth.
    [head('hex', 5), hex(5), 'turns: fits'],
    [head('hex', 5), hex(5.05), 'turns: fits'],
    [head('hex', 5), hex(4.95), 'turns: fits'],
    [head('hex', 5), hex(5.1), 'damages: rounds-off'],
    [head('hex', 5), hex(5.68), 'damages: rounds-off'],
    [head('hex', 5), hex(5.7), 'cannot: wrong-size'],
    [head('hex', 5), hex(4.9), 'cannot: wrong-size'],
    [head('hexalobular', 25), hex(5), 'cannot: wrong-profile'],
    [head('hexalobular', 25), { profile: 'hexalobular', size: 25 }, 'turns: fits'],
    [head('hexalobular', 25), { profile: 'hexalobular', size: 27 }, 'cannot: wrong-size'],
    [head('hex', 5), { profile: 'hexalobular', size: 25 }, 'cannot: wrong-profile'],
    // A blade may be half a millimetre wider than the slot, and down to six tenths of it.
    [head('slot', 6.5), slot(6), 'turns: fits'],
    [head('slot', 6.6), slot(6), 'cannot: wrong-size'],
    [head('slot', 3.6), slot(6), 'turns: fits'],
    [head('slot', 3.5), slot(6), 'damages: rounds-off'],
    [head('hex', 5), slot(6), 'cannot: wrong-profile'],
    [head('phillips', 2), { profile: 'phillips', size: 2 }, 'turns: fits'],
    [head('phillips', 1), { profile: 'phillips', size: 2 }, 'damages: rounds-off'],
    [head('phillips', 3), { profile: 'phillips', size: 2 }, 'cannot: wrong-size'],
    [head('pozidriv', 2), { profile: 'pozidriv', size: 2 }, 'turns: fits'],
    [head('slot', 6), { profile: 'phillips', size: 2 }, 'cannot: wrong-profile'],
    [head('slot', 6), { profile: 'pozidriv', size: 2 }, 'cannot: wrong-profile'],
    [head('open-end', 15), flats(15), 'turns: fits'],
    [head('ring', 15), flats(15), 'turns: fits'],
    [head('socket', 15), flats(15), 'turns: fits'],
    [head('open-end', 15), flats(14), 'damages: rounds-off'],
    [head('open-end', 15), flats(13.2), 'damages: rounds-off'],
    [head('open-end', 15), flats(13.1), 'cannot: wrong-size'],
    [head('open-end', 15), flats(15.1), 'cannot: wrong-size'],
    [head('adjustable', 16), flats(10), 'turns: fits'],
    [head('adjustable', 16), flats(14.4), 'turns: fits'],
    [head('adjustable', 16), flats(14.5), 'awkward: jaw-limit'],
    [head('adjustable', 16), flats(16.05), 'awkward: jaw-limit'],
    [head('adjustable', 16), flats(16.1), 'cannot: jaw-too-small'],
    [head('pliers', 16), flats(16.05), 'damages: chews-corners'],
    [head('pliers', 16), flats(16.1), 'cannot: jaw-too-small'],
    [head('hex', 5), flats(5), 'cannot: wrong-profile'],
    [head('spoke-key', 3.2), nipple(3.2), 'turns: fits'],
    [head('spoke-key', 3.4), nipple(3.2), 'damages: rounds-off'],
    [head('pliers', 16), nipple(3.2), 'damages: chews-corners'],
    [head('open-end', 3.2), nipple(3.2), 'cannot: wrong-profile'],
    [head('spline', 'c1'), { profile: 'spline', size: 'c1' }, 'turns: fits'],
    [head('spline', 'c1'), { profile: 'spline', size: 'c2' }, 'cannot: wrong-size'],
    [head('valve-core', 'c1'), { profile: 'spline', size: 'c1' }, 'cannot: wrong-profile'],
    [head('valve-core', 'presta'), { profile: 'valve-core', size: 'presta' }, 'turns: fits'],
    [head('valve-core', 'presta'), { profile: 'valve-core', size: 'schrader' }, 'cannot: wrong-size'],
    [head('spline', 'presta'), { profile: 'valve-core', size: 'presta' }, 'cannot: wrong-profile'],
    [head('chain-pin'), { profile: 'chain-pin' }, 'turns: fits'],
    [head('link-pliers'), { profile: 'chain-pin' }, 'cannot: wrong-profile'],
    [head('link-pliers'), { profile: 'quick-link' }, 'turns: fits'],
    [head('chain-pin'), { profile: 'quick-link' }, 'cannot: wrong-profile'],
    [head('hex', 5), { profile: 'by-hand' }, 'cannot: wrong-profile'],
  ])('%j on %j: %s', (head, drive, what) => {
    expect(held(head, drive)).toBe(what)
  })
  it('pliers hold a nut, and the wrong cross a screw, up to a newton metre', () => {
    expect(held(head('pliers', 16), flats(8), 1)).toBe('awkward: chews-corners')
    expect(held(head('pliers', 16), flats(8), 1.1)).toBe('damages: chews-corners')
    expect(held(head('phillips', 2), { profile: 'pozidriv', size: 2 }, 1)).toBe('awkward: phillips-in-pozidriv')
    expect(held(head('pozidriv', 2), { profile: 'phillips', size: 2 }, 1.1)).toBe('damages: pozidriv-in-phillips')
  })
})

describe('turning', () => {
  const key = aHead({ profile: 'hex', size: 5, leverMm: 100, reachMm: 20, bodyMm: 10 })
  const bolt = (more: Partial<Fastener> = {}, torqueNm = 10) => aFastener({ profile: 'hex', size: 5 }, torqueNm, more)
  const result = (head: Head, fastener: Fastener, handMostN = defaultHandN) =>
    turnWith(head, turnTaskOf(fastener, handMostN))
  const said = (head: Head, fastener: Fastener) => {
    const { verdict, reason } = result(head, fastener)
    return `${verdict}: ${reason}`
  }

  it('reaches as deep as its head is long, and needs the room of its body', () => {
    expect(said(key, bolt({ recessMm: 20 }))).toBe('turns: fits')
    expect(said(key, bolt({ recessMm: 20.1 }))).toBe('cannot: too-short')
    expect(said(key, bolt({ roomMm: 10 }))).toBe('turns: fits')
    expect(said(key, bolt({ roomMm: 9.9 }))).toBe('cannot: no-room')
  })
  it.each<[Head['profile'], number | string, Drive, number]>([
    ['hex', 5, { profile: 'hex', size: 5 }, 60],
    ['slot', 6, { profile: 'slot', size: 6 }, 180],
    ['phillips', 2, { profile: 'phillips', size: 2 }, 90],
    ['pozidriv', 2, { profile: 'pozidriv', size: 2 }, 90],
    ['ring', 8, { profile: 'flats', size: 8 }, 30],
    ['open-end', 8, { profile: 'flats', size: 8 }, 30],
    ['spoke-key', 3.2, { profile: 'nipple', size: 3.2 }, 90],
    ['socket', 8, { profile: 'flats', size: 8 }, 60],
  ])(
    'a %s head has to swing until it can be set on anew, and twice that to be easy',
    (profile, size, drive, stepDeg) => {
      const head = headSchema.parse({ profile, size, leverMm: 100 })
      const at = (swingDeg: number) => said(head, aFastener(drive, 1, { swingDeg }))
      expect(at(stepDeg - 1)).toBe('cannot: no-swing')
      expect(at(stepDeg)).toBe('awkward: small-bites')
      if (stepDeg < 180) expect(at(2 * stepDeg - 1)).toBe('awkward: small-bites')
      expect(at(2 * stepDeg)).toBe('turns: fits')
      const driver = headSchema.parse({ profile, size, leverMm: 100, spins: true })
      expect(said(driver, aFastener(drive, 1, { swingDeg: 5 }))).toBe('turns: fits')
    },
  )
  it('closed heads do not go over an axle; open ones do', () => {
    const nut = aFastener({ profile: 'flats', size: 15 }, 10, { openEndOnly: true })
    expect(said(aHead({ profile: 'ring', size: 15, leverMm: 100 }), nut)).toBe('cannot: ring-cannot-pass')
    expect(said(aHead({ profile: 'socket', size: 15, leverMm: 100 }), nut)).toBe('cannot: ring-cannot-pass')
    expect(said(aHead({ profile: 'open-end', size: 15, leverMm: 100 }), nut)).toBe('turns: fits')
  })
  it.each(['open-end', 'ring', 'adjustable', 'pliers'] as const)(
    'a thick %s does not go between narrow flats',
    (profile) => {
      const nut = aFastener({ profile: 'flats', size: 15 }, 1, { gapMm: 5 })
      const jaw = (thickMm: number) => headSchema.parse({ profile, size: 15, leverMm: 100, thickMm })
      expect(said(jaw(5.1), nut)).toBe('cannot: jaw-too-thick')
      expect(said(jaw(5), nut)).not.toContain('cannot')
    },
  )
  it('a socket’s wall is not a jaw', () => {
    const socket = headSchema.parse({ profile: 'socket', size: 15, leverMm: 100, thickMm: 9 })
    expect(said(socket, aFastener({ profile: 'flats', size: 15 }, 1, { gapMm: 5 }))).toBe('turns: fits')
  })
  it('a head without a lever turns nothing that is tight', () => {
    const bare = aHead({ profile: 'hex', size: 5, leverMm: 0 })
    expect(said(bare, bolt({}, 0.1))).toBe('cannot: no-own-lever')
    expect(result(bare, bolt({}, 0))).toEqual({ verdict: 'turns', reason: 'fits', handN: 0 })
  })
  it('a torque key stops at the most it can be set to', () => {
    const torque = aHead({ profile: 'hex', size: 5, leverMm: 200, setNm: { least: 4, most: 6 } })
    expect(said(torque, bolt({}, 6))).toBe('turns: fits')
    expect(said(torque, bolt({}, 6.1))).toBe('cannot: set-too-low')
  })
  it('is a hard pull beyond five eighths of what a hand gives, and no more beyond all of it', () => {
    expect(result(key, bolt({}, 25))).toEqual({ verdict: 'turns', reason: 'fits', handN: 250 })
    expect(result(key, bolt({}, 25.1))).toMatchObject({ verdict: 'awkward', reason: 'hard-pull' })
    expect(result(key, bolt({}, 40))).toMatchObject({ verdict: 'awkward', handN: 400 })
    expect(result(key, bolt({}, 40.1))).toMatchObject({ verdict: 'cannot', reason: 'no-lever' })
    expect(result(key, bolt({}, 25), 249)).toMatchObject({ verdict: 'cannot', reason: 'no-lever' })
    expect(handForceN(10, 100)).toBe(100)
    expect(handForceN(0, 0)).toBe(0)
    expect(handForceN(1, 0)).toBe(Infinity)
  })
  it('says the worst finding, of equals the first', () => {
    const tight = bolt({ swingDeg: 70 }, 30)
    expect(said(key, tight)).toBe('awkward: hard-pull')
    const finding = (verdict: TurnResult['verdict'], reason: TurnResult['reason']) => ({ verdict, reason, handN: 1 })
    const [fits, awkward, alsoAwkward, cannot] = [
      finding('turns', 'fits'),
      finding('awkward', 'hard-pull'),
      finding('awkward', 'small-bites'),
      finding('cannot', 'no-lever'),
    ]
    expect(worstTurnResult([fits, awkward, alsoAwkward])).toBe(awkward)
    expect(worstTurnResult([fits, cannot, awkward])).toBe(cannot)
    expect(worstTurnResult([fits])).toBe(fits)
  })
  it('is better by verdict, then by how near it comes, then by the lighter pull', () => {
    const result = (
      verdict: TurnResult['verdict'],
      reason: TurnResult['reason'],
      handN: number | null,
    ): TurnResult => ({
      verdict,
      reason,
      handN,
    })
    const inOrder = [
      result('turns', 'fits', 10),
      result('turns', 'fits', 20),
      result('turns', 'fits', null),
      result('awkward', 'hard-pull', 5),
      result('damages', 'rounds-off', 5),
      result('cannot', 'no-lever', 900),
      result('cannot', 'wrong-size', null),
      result('cannot', 'wrong-profile', null),
    ]
    expect([...inOrder].reverse().sort(compareTurnResults)).toEqual(inOrder)
  })
})

describe('two tools on one fastener', () => {
  const nut: Drive = { profile: 'flats', size: 8 }
  const bolt = aFastener({ profile: 'hex', size: 4 }, 5, { counterhold: nut, recessMm: 10, gapMm: 3, roomMm: 12 })
  const key = aTool('key', aHead({ profile: 'hex', size: 4, leverMm: 80 }))
  const spanner = aTool('spanner', aHead({ profile: 'open-end', size: 8, leverMm: 80, reachMm: 1, thickMm: 9 }))

  it('the nut is held by whatever gets hold of it, however the bolt itself lies', () => {
    const holders = holdersOf(bolt, turnTaskOf(bolt, defaultHandN), [key, spanner])
    expect(holders?.map(({ tool }) => tool.id)).toEqual(['spanner'])
    expect(holdersOf({ counterhold: null }, turnTaskOf(bolt, defaultHandN), [key, spanner])).toBeUndefined()
    expect(waysTo(bolt, [key, spanner])).toMatchObject({ turns: true, best: { second: { tool: { id: 'spanner' } } } })
  })
  it('ends of one tool are used together only where it comes apart, and no end with itself', () => {
    const [a, b] = [aHead({ profile: 'hex', size: 4 }), aHead({ profile: 'open-end', size: 8 })]
    const folding = aTool('folding', a, b)
    const loose = { ...folding, id: 'loose', comesApart: true }
    const ends = (tool: typeof folding) => toolHeadsOf([tool])
    expect(usableTogether(nth(ends(folding), 0), nth(ends(folding), 1))).toBe(false)
    expect(usableTogether(nth(ends(loose), 0), nth(ends(loose), 1))).toBe(true)
    expect(usableTogether(nth(ends(loose), 0), nth(ends(loose), 0))).toBe(false)
    expect(usableTogether(nth(ends(folding), 0), nth(ends(loose), 0))).toBe(true)
  })
  it('a lever is lent by an end with one that gets hold of the shank and is long enough', () => {
    const bare = aHead({ profile: 'spline', size: 'c1', leverMm: 0, turnedByMm: 24 })
    const ring = aFastener({ profile: 'spline', size: 'c1' }, 40)
    const setting = turnTaskOf(ring, defaultHandN)
    const lever = (id: string, leverMm: number, size = 30) => aTool(id, aHead({ profile: 'adjustable', size, leverMm }))
    const tools = [lever('long', 250), lever('short', 90), lever('small', 250, 20), lever('none', 0), key]
    expect(leversFor(bare, setting, tools).map(({ tool }) => tool.id)).toEqual(['long'])
    expect(leversFor({ ...bare, turnedByMm: null }, setting, tools)).toEqual([])
    expect(leversFor({ ...bare, leverMm: 10 }, setting, tools)).toEqual([])
    const socket = aTool('socket', bare)
    expect(waysTo(ring, [socket, lever('long', 250), lever('longer', 400)]).best).toMatchObject({
      tool: { id: 'socket' },
      second: { tool: { id: 'longer' } },
      handN: 100,
    })
    // With nothing to turn it by but a wrench that may be borrowed it is of use, and does not turn.
    expect(waysTo(ring, [socket])).toMatchObject({ turns: false, best: { reason: 'no-own-lever', second: null } })
    expect(waysTo(ring, [socket]).useful).toContain(bare)
    expect(waysTo(ring, [socket, bigWrench]).turns).toBe(true)
  })
  it('the best of a tool’s ends stands for it, and the best tool for all', () => {
    const tool = aTool(
      'two ends',
      aHead({ profile: 'hex', size: 4, leverMm: 40 }),
      aHead({ profile: 'hex', size: 4, leverMm: 80 }),
    )
    const long = aTool('long', aHead({ profile: 'hex', size: 4, leverMm: 160 }))
    const ways = waysTo(aFastener({ profile: 'hex', size: 4 }, 8), [tool, long, aTool('no ends')])
    expect([...ways.byTool].map(([{ id }, { handN }]) => [id, handN])).toEqual([
      ['two ends', 100],
      ['long', 50],
    ])
    expect(ways.best?.tool).toBe(long)
    expect(waysTo(bolt, [])).toEqual({ byTool: new Map(), best: undefined, turns: false, useful: [] })
  })
  it('of ways as good as each other the first is named: the first tool, and its first end', () => {
    const [first, second] = ['first', 'second'].map((id) =>
      aTool(id, ...[0, 1].map(() => aHead({ profile: 'hex', size: 4, leverMm: 80 }))),
    )
    if (!first || !second) throw new Error('there are two')
    const { best } = waysTo(aFastener({ profile: 'hex', size: 4 }, 8), [first, second])
    expect(best?.tool).toBe(first)
    expect(best?.head).toBe(first.heads[0])
  })
  it('sets that hold another one whole say nothing more', () => {
    const [a, b] = ['a', 'b']
    const sets = (...lists: string[][]) => withoutImplied(lists.map((list) => new Set(list))).map((set) => [...set])
    expect(sets([a, b], [a], [b])).toEqual([[a], [b]])
    expect(sets([a], [a])).toEqual([[a]])
    expect(sets([a, b], [b, a])).toEqual([[a, b]])
    expect(sets([a], [])).toEqual([[]])
    expect(sets([a], [b])).toEqual([[a], [b]])
  })
})

describe('a crew’s fit', () => {
  const thing = (id: string, heads: Head[]): Thing => thingSchema.parse({ id, name: id, massG: 10, heads })
  const item = (id: string, massG: number, ...heads: Head[]): CatalogueItem =>
    catalogueItemSchema.parse({ id, name: id, group: 'tools', massG, volumeMl: massG, longestMm: 100, price: 0, heads })
  const held = (id: string, drive: Drive, more: Partial<Fastener> = {}) => aFastener(drive, 5, { id, ...more })
  const [hex4, hex5, hex6] = [4, 5, 6].map((size) => aHead({ profile: 'hex', size, leverMm: 100 })) as [
    Head,
    Head,
    Head,
  ]
  const bike = {
    id: 'b',
    fasteners: [
      held('four', { profile: 'hex', size: 4 }),
      held('six', { profile: 'hex', size: 6 }),
      held('seven', { profile: 'hex', size: 7 }, { canWait: 'for a workshop' }),
      held('nut', { profile: 'flats', size: 30 }),
      held('thumb', { profile: 'by-hand' }),
      held('odd', { profile: 'spline', size: 'zz' }),
    ],
  }
  const items = [item('heavy six', 90, hex6), item('six', 40, hex6), item('pair', 60, hex5, hex6), item('bottle', 5)]
  const view = fitView([bike], [thing('key', [hex4, hex5]), thing('bottle', [])], items, defaultHandN)

  it('says of each fastener whether it turns, wants a borrowed wrench, can wait, or is uncovered', () => {
    expect(view.fasteners.map(({ fastener, coverage }) => [fastener, coverage])).toEqual([
      ['four', 'turned'],
      ['six', 'uncovered'],
      ['seven', 'waits'],
      ['nut', 'borrowed'],
      ['thumb', 'turned'],
      ['odd', 'uncovered'],
    ])
    expect(crewFit([bike], toolsOn([thing('key', [hex4])])).fasteners).toHaveLength(6)
  })
  it('names the lightest thing that would turn what does not, and the lightest set for all of it', () => {
    const wanted = Object.fromEntries(view.fasteners.map(({ fastener, wouldTurn }) => [fastener, wouldTurn]))
    expect(wanted).toEqual({
      four: null,
      six: { item: 'six', massG: 40 },
      seven: null,
      nut: null,
      thumb: null,
      odd: null,
    })
    expect(view.addition).toEqual({ items: ['six'], massG: 40 })
    const [, six, , , , odd] = bike.fasteners
    const addition = lightestAddition([six, odd] as Fastener[], [], items)
    expect(addition.items.map(({ id }) => id)).toEqual(['six'])
    expect(addition.hopeless).toEqual([odd])
    expect(itemsThatTurn(six as Fastener, [], items).map(({ id }) => id)).toEqual(['six', 'pair', 'heavy six'])
  })
  it('shows the things that turn anything, each way they do, and the ends that turn nothing', () => {
    expect(view.things).toEqual(['key'])
    expect(view.idle).toEqual({ key: [hex5] })
    const [four, six] = view.fasteners
    expect(four?.best).toEqual({ verdict: 'turns', reason: 'fits', handN: 50, thing: 'key', head: hex4, second: null })
    expect(four?.ways).toEqual({ key: four?.best })
    expect(six?.best?.reason).toBe('wrong-size')
  })
})

describe('short names of drives and heads', () => {
  it.each<[string, Drive]>([
    ['hex5', { profile: 'hex', size: 5 }],
    ['HEX 2.5', { profile: 'hex', size: 2.5 }],
    ['t25', { profile: 'hexalobular', size: 25 }],
    ['PH2', { profile: 'phillips', size: 2 }],
    ['phillips-2', { profile: 'phillips', size: 2 }],
    ['PZ1', { profile: 'pozidriv', size: 1 }],
    ['pozidriv 1', { profile: 'pozidriv', size: 1 }],
    ['slot 6', { profile: 'slot', size: 6 }],
    ['nut 15', { profile: 'flats', size: 15 }],
    ['flats15', { profile: 'flats', size: 15 }],
    ['  nipple3.2 ', { profile: 'nipple', size: 3.2 }],
  ])('“%s” is a drive', (text, drive) => {
    expect(readDrive(text, 'x')).toEqual(drive)
  })
  it.each<[string, Head['profile'], number]>([
    ['hex5', 'hex', 5],
    ['T25', 'hexalobular', 25],
    ['ph 2', 'phillips', 2],
    ['phillips 2', 'phillips', 2],
    ['pz2', 'pozidriv', 2],
    ['pozidriv2', 'pozidriv', 2],
    ['slot4', 'slot', 4],
    ['blade 4', 'slot', 4],
    ['open 15', 'open-end', 15],
    ['open end 15', 'open-end', 15],
    ['open-end 15', 'open-end', 15],
    ['ring15', 'ring', 15],
    ['socket 15', 'socket', 15],
    ['adjustable 16', 'adjustable', 16],
    ['adjustable to 16', 'adjustable', 16],
    ['pliers 30', 'pliers', 30],
    ['pliers to 30', 'pliers', 30],
    ['spoke 3.2', 'spoke-key', 3.2],
    ['spoke key 3.2', 'spoke-key', 3.2],
  ])('“%s” is a head', (text, profile, size) => {
    expect(readHead(text, 'x')).toMatchObject({ profile, size })
  })
  it.each(['hex', '5', 'hex5x', 'hex five', 'open open end 5', ''])('“%s” is none', (text) => {
    const why = 'one of hex, T, phillips, pozidriv, slot, flats, nipple and a size'
    expect(() => readDrive(text, '--drive')).toThrow(`--drive: “${text}”; expected ${why}`)
    expect(() => readHead(text, '--head')).toThrow(`--head: “${text}”`)
  })
  it('a size alone goes with the name before it', () => {
    const sizes = readHeads('hex 2, 2.5 3;ring15', 'x').map((each) =>
      'size' in each ? `${each.profile} ${each.size}` : '',
    )
    expect(sizes).toEqual(['hex 2', 'hex 2.5', 'hex 3', 'ring 15'])
    expect(readHeads('', 'x')).toEqual([])
  })
  it('what is known of a head goes with it', () => {
    expect(readHead('hex5', 'x', { leverMm: 33, spins: true })).toMatchObject({ leverMm: 33, spins: true, size: 5 })
  })
})
