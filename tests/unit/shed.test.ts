import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { catalogue } from '#catalogue'
import { demoShed, demoTrip } from '#catalogue/demo'
import { openTask } from '#core/task'
import { CostsOfFailing } from '#core/availability'
import { thingFrom } from '#core/bench'
import { surveyRoad } from '#core/road'
import {
  asInShed,
  asOnBench,
  conditionOn,
  costByUse,
  differsIn,
  intoShed,
  laidFromShed,
  mostOwned,
  ownedFrom,
  ownedThingSchema,
  readShedCsv,
  toGet,
  writeShedCsv,
  yearsBetween,
  type OwnedThing,
} from '#core/shed'
import { withPlanning } from '#core/reference'
import { takenAlong } from '#core/trip'
import { firstBench } from '#core/unlock'
import { defined, Faults } from '#core/validation'
import { ageInWords, conditionInWords } from '#wording'

const { families, items } = catalogue
const item = (id: string) => defined(items.find((each) => each.id === id))
const owned = (change: Partial<OwnedThing> = {}): OwnedThing =>
  ownedThingSchema.parse({ id: 'a', name: 'a thing', massG: 50, ...change })
let made = 0
const newId = () => `new-${++made}`
const read = (text: string) => readShedCsv(text, items, newId)
function linesOf(text: string): string[] {
  try {
    read(text)
  } catch (error) {
    if (error instanceof Faults) return error.faults.map(({ message }) => message)
    throw error
  }
  return []
}

describe('a year', () => {
  it('has the mean length of the Gregorian calendar: 146 097 days in 400 (ISO 8601)', () => {
    expect(yearsBetween('1600-01-01', '2000-01-01')).toBeCloseTo(400, 9)
    expect(yearsBetween('2026-05-02', '2026-05-01')).toBe(0)
  })
})

describe('the condition of a thing', () => {
  const sealant = { units: { sealant: 60 } }
  const halfLife = defined(families.find(({ id }) => id === 'sealant')?.halfLife)
  /** A day so many years after another, to the nearest. */
  const after = (day: string, years: number) =>
    new Date(Date.parse(day) + years * 365.2425 * 24 * 3600_000).toISOString().slice(0, 10)

  it('is as new while nothing is known of its age, and where age does nothing', () => {
    expect(conditionOn(owned(sealant), '2026-05-30', families)).toBe(1)
    expect(conditionOn(owned({ bought: '1990-01-01' }), '2026-05-30', families)).toBe(1)
  })
  it('is half after one half-life, a quarter after two, sealed and opened', () => {
    const bought = owned({ ...sealant, bought: '2020-01-01' })
    expect(conditionOn(bought, after('2020-01-01', halfLife.sealedY), families)).toBeCloseTo(0.5, 3)
    const opened = owned({ ...sealant, opened: '2020-01-01' })
    expect(conditionOn(opened, after('2020-01-01', 2 * halfLife.openedY), families)).toBeCloseTo(0.25, 3)
  })
  it('ages by the packet until it is opened, and faster from then on', () => {
    const thing = owned({ ...sealant, bought: '2020-01-01', opened: after('2020-01-01', halfLife.sealedY) })
    const on = after('2020-01-01', halfLife.sealedY + halfLife.openedY)
    expect(conditionOn(thing, on, families)).toBeCloseTo(0.25, 3)
  })
  it('is as new on the day of a test, before and after it was opened', () => {
    const thing = owned({ ...sealant, bought: '2010-01-01', opened: '2012-01-01', tested: '2026-05-30' })
    expect(conditionOn(thing, '2026-05-30', families)).toBe(1)
    expect(conditionOn(thing, after('2026-05-30', halfLife.openedY), families)).toBeCloseTo(0.5, 3)
  })
  it('is what its owner says, whatever its age', () => {
    expect(conditionOn(owned({ ...sealant, opened: '2000-01-01', trustedTo: 0.7 }), '2026-05-30', families)).toBe(0.7)
  })
  it('is the worst of what it is made of', () => {
    const kit = owned({ units: { tape: 1, glue: 1 }, opened: '2024-05-30' })
    const glue = owned({ units: { glue: 1 }, opened: '2024-05-30' })
    expect(conditionOn(kit, '2026-05-30', families)).toBe(conditionOn(glue, '2026-05-30', families))
  })
  it('never rises with age, and never falls by a test', () => {
    const day = fc.integer({ min: 0, max: 9000 }).map((days) => after('2002-01-01', days / 365.2425))
    const kinds = fc.constantFrom('sealant', 'glue', 'patch', 'cartridge', 'tube-622', 'boot')
    fc.assert(
      fc.property(kinds, day, day, day, fc.integer({ min: 0, max: 4000 }), (kind, bought, opened, tested, days) => {
        const thing = owned({ units: { [kind]: 1 }, bought, opened })
        const [on, later] = ['2027-01-01', after('2027-01-01', days / 365.2425)]
        const before = conditionOn(thing, on, families)
        expect(conditionOn(thing, later, families)).toBeLessThanOrEqual(before + 1e-12)
        expect(conditionOn({ ...thing, tested }, on, families)).toBeGreaterThanOrEqual(before - 1e-12)
      }),
    )
  })
  it('follows the half-lives that somebody knows better', () => {
    const thing = owned({ ...sealant, opened: '2020-01-01' })
    const { families: better } = withPlanning(catalogue, { 'families.sealant.openedY': 2 * halfLife.openedY })
    const on = after('2020-01-01', 2 * halfLife.openedY)
    expect(conditionOn(thing, on, better)).toBeCloseTo(0.5, 3)
  })
  it('is told in words', () => {
    const thing = owned({ ...sealant, bought: '2020-05-30', opened: '2025-03-30' })
    expect(conditionInWords(thing, '2026-05-30', families)).toMatch(
      /^opened 14 months ago, bought 6 years ago, trusted to \d+ %$/,
    )
    expect(ageInWords(3 / 365)).toBe('this week')
    expect(ageInWords(10 / 365)).toBe('1 week ago')
    expect(conditionInWords(owned(), '2026-05-30', families)).toBe('')
  })
})

describe('a shed as a table', () => {
  const same = (things: readonly OwnedThing[]) => expect(read(writeShedCsv(things, items)).things).toEqual(things)

  it('comes back as it was: the demo’s', () => same(demoShed))
  it('comes back as it was: whatever names and notes it has', () => {
    const words = fc
      .string({ minLength: 1, maxLength: 30, unit: 'grapheme' })
      .filter((text) => text.trim() === text && !text.includes('\uFFFD'))
    const formulas = fc
      .tuple(fc.constantFrom('=', '+', '-', '@', "'=", "''+", '\t', '＝'), words)
      .map(([mark, text]) => (mark + text).trim())
    fc.assert(
      fc.property(fc.array(fc.oneof(words, formulas), { minLength: 1, maxLength: 8 }), (names) => {
        same(
          names.map((name, i) =>
            owned({ id: `id-${i}`, name, note: names[names.length - 1 - i], massG: 1 + i / 7, count: 1 + (i % 99) }),
          ),
        )
      }),
      { numRuns: 300 },
    )
  })
  it('is written as RFC 4180 says: lines end in CR LF, quotes are doubled, what has commas, quotes or line ends is quoted', () => {
    const [thing] = [owned({ name: 'a "good", old\npump', price: 1250 })]
    const text = writeShedCsv([thing], items)
    expect(text.split('\r\n')).toHaveLength(3)
    expect(text).toContain('"a ""good"", old\npump",50,')
    expect(text).toContain(',12.50,EUR,')
  })
  it('holds no formula to any program for tables', () => {
    for (const start of ['=', '+', '-', '@', '\t', '＝', '＋', '－', '＠']) {
      const text = writeShedCsv([owned({ name: `${start}HYPERLINK("a")`, note: `${start}1` })], items)
      const { data } = Papa.parse<string[]>(text)
      for (const cell of data.flat()) expect(cell).not.toMatch(/^[=+\-@\t\r＝＋－＠]/)
    }
  })

  // The seven rules of RFC 4180, section 2, as far as they speak of what is read.
  it.each<[string, string, string[]]>([
    ['1: records on lines of their own', 'name,grams\r\naaa,1\r\nbbb,2\r\n', ['aaa', 'bbb']],
    ['2: no line end after the last', 'name,grams\r\naaa,1\r\nbbb,2', ['aaa', 'bbb']],
    ['3: a header line', 'grams,name\r\n1,aaa\r\n', ['aaa']],
    ['4: spaces are part of a field, but not around it here', 'name,grams\r\na  a , 1 \r\n', ['a  a']],
    ['5: fields with quotes and without', 'name,grams\r\n"aaa",1\r\nbbb,"2"\r\n', ['aaa', 'bbb']],
    ['6: line ends, quotes and commas within quotes', 'name,grams\r\n"b\r\nb,b",1\r\n', ['b\r\nb,b']],
    ['7: a quote within quotes', 'name,grams\r\n"b""bb",1\r\n', ['b"bb']],
    ['line ends of other systems', 'name,grams\naaa,1\nbbb,2\n', ['aaa', 'bbb']],
    ['semicolons, and a decimal comma', 'name;grams\naaa;93,4\n', ['aaa']],
    ['tabs', 'name\tgrams\naaa\t93.4\n', ['aaa']],
    ['a mark of the encoding', '\uFEFFname,grams\naaa,1\n', ['aaa']],
    ['empty lines', 'name,grams\n\naaa,1\n , \n', ['aaa']],
  ])('is read: %s', (_, text, names) => {
    expect(read(text).things.map(({ name }) => name)).toEqual(names)
  })

  it('reads masses with a point and with a comma', () => {
    expect(read('name;grams\na;93,4\nb;93.45\nc;7').things.map(({ massG }) => massG)).toEqual([93.4, 93.45, 7])
  })
  it('takes what a thing does from its kind', () => {
    const { things } = read('name,grams,kind,price\nMy pump,97,mini-pump,"1.234,50"\n')
    expect(things).toMatchObject([{ provides: item('mini-pump').provides, from: 'mini-pump', price: 123450 }])
  })
  it('names columns that it passes over', () => {
    expect(read('name,grams,colour\na,1,red\n').passedOver).toEqual(['colour'])
  })
  it('counts what lies on several lines, so that a fault is told where it stands', () => {
    expect(linesOf('name,grams\n"a\nb",1\nc,x\n')).toEqual([
      'line 4, grams: "x"; expected a number such as 93.4 or 93,4, without marks for thousands',
    ])
  })
  it.each<[string, string, RegExp]>([
    ['nothing at all', '', /^line 1: "nothing"; expected the names of columns, among them name and grams/],
    ['wrong columns', 'thing,weight\na,1', /^line 1: "thing, weight"; expected the names of columns/],
    ['a mass below nothing', 'name,grams\na,-5', /^line 2, grams: "-5"; expected .*0/],
    ['an enormous mass', 'name,grams\na,1e9', /^line 2, grams: "1e9"; expected a number/],
    ['a mass that may be thousands', 'name,grams\na,"1,234"', /^line 2, grams: "1,234"; expected a number/],
    ['no mass', 'name,grams\na,', /^line 2, grams: ""; expected/],
    ['no name', 'name,grams\n,5', /^line 2, name: ""; expected/],
    ['a price below nothing', 'name,grams,price\na,1,-3', /^line 2, price: "-3"; expected an amount of money/],
    ['an enormous price', 'name,grams,price\na,1,99999999999', /^line 2, price: .*expected at most/],
    ['no currency', 'name,grams,price,currency\na,1,3,XYQ', /^line 2, currency: "XYQ"; expected a currency/],
    [
      'a day that is none',
      'name,grams,bought\na,1,30.05.2026',
      /^line 2, bought: "30.05.2026"; expected a day such as 2026-05-30$/,
    ],
    ['an unknown kind', 'name,grams,kind\na,1,anvil', /^line 2, kind: "anvil"; expected the id of a kind/],
    ['half a thing', 'name,grams,count\na,1,1.5', /^line 2, count: "1.5"; expected/],
    ['neither yes nor no', 'name,grams,weighed\na,1,perhaps', /^line 2, weighed: "perhaps"; expected yes or no$/],
    ['what is no JSON', 'name,grams,build\na,1,{', /^line 2, build: "{"; expected JSON/],
    ['functions that are none', 'name,grams,build\na,1,"{""provides"":3}"', /^line 2, build: /],
    ['the same id twice', 'name,grams,id\na,1,x\nb,1,x', /^line 3, id: "x"; expected an id that no line above has$/],
    ['a quote without an end', 'name,grams\n"a,1\nb,2', /^line \d: a quote without an end/],
    ['another encoding', 'name,grams\nVentil\uFFFD,1', /^line 2: .*UTF-8/],
  ])('is refused: %s', (_, text, message) => {
    expect(linesOf(text).join('\n')).toMatch(message)
  })
  it('tells twenty faults, and how many more there are', () => {
    const lines = linesOf(`name,grams\n${'a,x\n'.repeat(50)}`)
    expect(lines).toHaveLength(21)
    expect(lines.at(-1)).toMatch(/30 more such/)
  })
  it('is refused where it is longer than any shed, without being read to its end', () => {
    expect(linesOf(`name,grams\n${'a,1\n'.repeat(50_000)}`)).toEqual([
      `the file: more than ${mostOwned} lines; expected at most ${mostOwned} things`,
    ])
    expect(read(`name,grams\n${'a,1\n'.repeat(mostOwned)}`).things).toHaveLength(mostOwned)
  })
})

describe('a thing of the shed on a bench', () => {
  const pump = { ...ownedFrom(item('mini-pump'), 'pump', 'EUR'), massG: 97, isWeighed: true, price: 2500 }
  const laid = laidFromShed(pump, 'on-bench', 1)

  it('is the same in all that both say', () => {
    expect(laid).toMatchObject({ shed: 'pump', massG: 97, provides: pump.provides, from: 'mini-pump' })
    expect(differsIn(laid, pump, 1)).toEqual([])
  })
  it('says in what it differs, small differences of trust aside', () => {
    expect(differsIn({ ...laid, massG: 99, condition: 0.5 }, pump, 1)).toEqual(['massG', 'condition'])
    expect(differsIn(laid, pump, 0.97)).toEqual([])
  })
  it('takes over the one side or the other, and then they are the same', () => {
    const other = { ...laid, massG: 99, name: 'The pump', condition: 0.5, count: 3, pin: { min: 1, max: 1 } }
    const taken = asInShed(other, pump, 0.8)
    expect(taken).toMatchObject({ massG: 97, condition: 0.8, count: 3, pin: { min: 1, max: 1 } })
    expect(differsIn(taken, pump, 0.8)).toEqual([])
    const told = asOnBench(pump, other, 1)
    expect(told).toMatchObject({ massG: 99, name: 'The pump', isWeighed: false, trustedTo: 0.5, price: 2500, count: 1 })
    expect(differsIn(other, told, conditionOn(told, '2026-05-30', families))).toEqual([])
  })
  it('goes from the bench into the shed', () => {
    const old = { ...laid, condition: 0.6, count: 4 }
    expect(intoShed(old, 'x', 'CHF')).toMatchObject({ id: 'x', trustedTo: 0.6, count: 4, currency: 'CHF', massG: 97 })
  })
  it('is to be got where the kit takes more than there are', () => {
    const tube = { ...ownedFrom(item('tube-622'), 'tube', 'EUR'), count: 2 }
    const bench = [
      { ...laidFromShed(tube, 'first', 1), count: 3 },
      thingFrom(item('boot'), 'second'),
      { ...laid, id: 'borrowed', shed: null, owned: 1 },
    ]
    const pieces = (carried: Record<string, number>) =>
      toGet(bench, carried, []).map(({ thing, pieces: count }) => [thing.id, count])
    expect(pieces({ first: 2 })).toEqual([])
    expect(pieces({ first: 3, second: 2, borrowed: 1 })).toEqual([
      ['first', 1],
      ['second', 2],
    ])
    expect(pieces({})).toEqual([])
  })
})

it('a use costs what was paid, by the uses of what was used most; nothing is said where either is unknown', () => {
  const thing = (price: number | null, uses: number, count = 1) => ({ price, uses, count })
  expect(costByUse([thing(4200, 140)])).toBe(30)
  expect(costByUse([thing(500, 3, 2), thing(1000, 7)])).toBe(286)
  expect(costByUse([thing(null, 7)])).toBeNull()
  expect(costByUse([thing(500, 0)])).toBeNull()
  expect(costByUse([])).toBeNull()
})

describe('a first bench of somebody with a shed', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const startWith = (things: readonly OwnedThing[]) => {
    const begun = { ...trip, bench: things.map((thing) => laidFromShed(thing, thing.id, 1)) }
    return firstBench(begun, survey, catalogue, new CostsOfFailing(begun, survey, catalogue)).map(({ id }) => id)
  }
  const without = startWith([])

  it('asks for nothing that lies there, nor for a little better one of it', () => {
    const mine = without.map((id) => ({ ...ownedFrom(item(id), id, 'EUR'), count: 6, massG: item(id).massG * 1.2 }))
    const doneBy = (id: string) => [...Object.keys(item(id).units), ...item(id).provides]
    const done = new Set(without.flatMap(doneBy))
    const asked = startWith(mine)
    for (const id of asked) {
      expect(without).not.toContain(id)
      // Heavier things set another price of a gram, at which something may pay that did not; it is nothing that is there.
      expect(doneBy(id).length > 0 && doneBy(id).every((each) => done.has(each)), id).toBe(false)
    }
    expect(asked.length).toBeLessThan(without.length / 5)
  })
  it('asks for what is missing', () => {
    const pump = without.filter((id) => item(id).provides.some((name) => name.startsWith('inflate-')))
    expect(pump).toHaveLength(1)
    const mine = without
      .filter((id) => !pump.includes(id))
      .map((id) => ({ ...ownedFrom(item(id), id, 'EUR'), count: 6 }))
    expect(startWith(mine).filter((id) => item(id).provides.some((name) => name.startsWith('inflate-')))).toHaveLength(
      1,
    )
  })
})

it('a new trip takes bikes, hands and habits of an earlier one along, and nothing that was done for that road', () => {
  const before = demoTrip()
  const [bike] = before.bikes
  const trip = {
    ...before,
    bikes: [{ ...defined(bike), jobs: [{ ...openTask, job: 'fresh-pads' }] }],
    dials: { ...before.dials, gramsPerHour: 500, currency: 'CHF', handMostN: 300 },
  }
  const next = takenAlong(trip, { 'works.pump': 0.9 })
  expect(next.bikes).toEqual([{ ...bike, jobs: [] }])
  expect(next.crew.map(({ name, skills }) => ({ name, skills }))).toEqual(
    before.crew.map(({ name, skills }) => ({ name, skills })),
  )
  expect(next.crew.flatMap(({ practice }) => practice)).toEqual([])
  expect(next.dials).toMatchObject({ currency: 'CHF', handMostN: 300, planning: { 'works.pump': 0.9 } })
  expect(next.dials).not.toHaveProperty('gramsPerHour')
})

it('a tin of every kind of the catalogue has a price in whole coins', () => {
  expect(items.filter(({ price }) => !Number.isInteger(price) || price < 0)).toEqual([])
  // Common practice, no source: what is cut from something old costs nothing, a battery of a motor some hundreds, and nothing else
  // more than a good bicycle pump’s tenfold.
  const dearest = items.filter(({ price }) => price >= 50_000)
  expect(dearest.map(({ id, price }) => [id, price < 100_000])).toEqual([['motor-battery', true]])
})
