import { defined } from '#core/validation'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { demoGpx, demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { answerTo } from '../../cli/commands'
import { workedExample } from '../worked-example'

const folder = mkdtempSync(join(tmpdir(), 'rag-tin-cli-'))
const file = (name: string, text: string) => {
  const path = join(folder, name)
  writeFileSync(path, text)
  return path
}
/** The command's answer, without a program of its own, which is quicker (tests/scripts/rag-tin.test.ts starts one). */
const run = (...words: string[]) => answerTo(words)
const json = async (...words: string[]) => JSON.parse((await run(...words)).stdout)
let trip = ''
/** One rider of it: as much again is weighed in half the time. */
let alone = ''
/** The same with few things. */
let sparse = ''
beforeAll(() => {
  const demo = demoTrip()
  trip = file('trip.json', JSON.stringify(demo))
  const { bikes, crew } = demo
  const ofMule = {
    bikes: bikes.filter(({ id }) => id === 'mule'),
    crew: crew.filter(({ bikeId }) => bikeId === 'mule'),
  }
  alone = file('alone.json', JSON.stringify({ ...demo, ...ofMule }))
  sparse = file('sparse.json', JSON.stringify({ ...demo, ...ofMule, bench: demo.bench.slice(0, 16) }))
})
afterAll(() => rmSync(folder, { recursive: true }))

describe('the rag-tin command', { timeout: 120_000 }, () => {
  it('schema', async () => expect(await json('schema')).toMatchObject({ type: 'object' }))
  it('gpx', async () => {
    const answer = await json('gpx', file('demo.gpx', demoGpx()))
    expect(answer).toMatchObject({ points: 6201 })
    expect(answer.roadKm).toBeCloseTo(620.58, 1)
    expect(answer.waypoints[2]).toMatchObject({ name: 'Quillby' })
    expect(answer.waypoints[2].roadKm).toBeCloseTo(71, 2)
  })
  it('gaps', async () => {
    const { gaps, pushOut } = await json('gaps', trip)
    expect(gaps['tube-622'].map((gap: { km: number }) => Math.round(gap.km))).toEqual([71, 240, 238, 72])
    expect(pushOut.worstH).toBeGreaterThan(10)
    const [, longest, last] = gaps['tube-622']
    expect(longest.why).toEqual(['the village workshop at Sallow Mill has it with 24 %, less than you trust'])
    expect(longest.openOnArrival).toBe('had')
    expect(longest.pushOut.worstH).toBeGreaterThan(longest.pushOut.meanH)
    expect(longest.days).toBeGreaterThan(2)
    expect(last.why[0]).toContain('Ashmere')
    expect(gaps['hanger-m7']).toMatchObject([{ why: ['no place in it stocks it'], openOnArrival: null }])
  })
  it('gaps and road as tables for people', async () => {
    const gaps = (await run('gaps', trip, '--text')).stdout
    expect(gaps).toMatch(/^without +from km +to km +km +days +worst walk +why\n/)
    expect(gaps).toMatch(/tube, 622 +0 +71 +71 +0\.3/)
    expect(gaps).toMatch(/farthest from help: 21\.7 h on foot to Brannock, from km 391\.0\n$/)
    const road = (await run('road', trip, '--text')).stdout
    expect(road).toMatch(/Fri 12 June +0 +93 +1073 +08:30–17:15 +05:31–20:54/)
    expect(road).toMatch(/Ferrow +196 +Sun 14:01 +supermarket: shut until Mon 08:00/)
  })
  it('frontier', async () => {
    const { frontier } = (await json('frontier', trip, '--steps', '6')) as {
      frontier: { massG: number; promiseH: number; counts: Record<string, number> }[]
    }
    expect(frontier.length).toBeLessThanOrEqual(6)
    expect(frontier[0]).toMatchObject({ massG: 0 })
    for (let i = 1; i < frontier.length; i++) {
      expect(frontier[i]?.promiseH).toBeLessThan(frontier[i - 1]?.promiseH ?? 0)
    }
    expect((await run('frontier', trip, '--steps', '3', '--text')).stdout).toMatch(/^ *grams +lost +stranded/)
    expect((await run('frontier', trip, '--steps', '1')).stderr).toContain('steps')
  })
  it('practice', async () => {
    const { practice } = await json('practice', trip)
    const [best] = practice as { riderId: string; techniqueId: string; from: number; to: number; savedH: number }[]
    expect(best).toMatchObject({ techniqueId: 'make-single-speed', from: 1, to: 2 })
    expect(best?.savedH).toBeGreaterThan(0.05)
    const text = (await run('practice', trip, '--text')).stdout
    expect(text).toMatch(/^spares +who +practises +from +to/)
    expect(text).toMatch(/min +(Maren|Ansel) +shorten the chain to a single speed +watched +done at home/)
  })
  it('split', async () => {
    const { riders, costs, doubles } = (await json('split', trip)) as {
      riders: { id: string; massG: number; fairG: number; counts: Record<string, number> }[]
      costs: { massG: number; apartH: number; unevenG: number }
      doubles: unknown[]
    }
    // The demo's riders stay together: nothing is doubled, and their loads differ by no more than a piece.
    expect(riders).toHaveLength(2)
    expect(costs.apartH).toBe(0)
    expect(doubles).toEqual([])
    expect(riders.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(costs.massG, 6)
    for (const { massG, fairG } of riders) expect(Math.abs(massG - fairG)).toBeLessThan(10)
    const text = (await run('split', trip, '--text')).stdout
    expect(text).toMatch(/^carries +pieces +grams +of all/)
    expect(text).toMatch(/Maren +\d+ +\d+ g would be fair/)
    expect(text).not.toContain('a second')
  })
  it('log and triage', async () => {
    const asked = ['--km', '250', '--what', 'puncture', '--wheel', 'rear'] as const
    const told = (await json('triage', sparse, ...asked)) as { ways: { fix: string; takes: { thing: string }[] }[] }
    expect(told).toMatchObject({ event: 'puncture/mule/rear' })
    const [first, second] = told.ways
    const tube = defined(first?.takes[0]).thing
    // All tubes of that kind are gone: what was second is first.
    const spent = [{ thing: tube, stock: 'tube-622', amount: 9 }]
    const gone = { id: 'g', at: '2026-06-13T10:00', roadKm: 80, kind: 'gone', why: 'used', note: 'two flats', spent }
    const entries = file('gone.json', JSON.stringify(gone))
    const after = (await json('triage', sparse, ...asked, '--log', entries)) as typeof told
    expect(after.ways[0]?.fix).toBe(second?.fix)
    const logged = file('logged.json', (await run('log', sparse, '--add', entries)).stdout)
    expect(await json('triage', logged, ...asked)).toEqual(after)
    const { entries: written, left } = (await json('log', logged)) as {
      entries: { id: string }[]
      left: { thing: string }[]
    }
    expect(written.map(({ id }) => id)).toEqual(['g'])
    expect(left.map(({ thing }) => thing)).not.toContain(tube)
    expect((await run('log', logged, '--text')).stdout).toMatch(/2026-06-13 10:00 +80\.0 +gone +two flats/)
    expect((await run('log', logged, '--add', entries)).stderr).toContain('an entry "g" that the trip has already')
    const text = (await run('triage', sparse, ...asked, '--at', '2026-06-15T09:00', '--text')).stdout
    expect(text).toMatch(/^rear flat: thorn, glass or pinch: .* lost in the mean, .* with nothing done\n/)
    const causes = (await json('triage', sparse, '--km', '250', '--symptom', 'no-air')) as {
      hazard: string
      share: number
    }[]
    expect(causes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 2)
    expect(causes[0]).toMatchObject({ hazard: 'puncture' })
    expect((await run('triage', sparse, '--km', '250')).stderr).toContain('--what or --symptom is needed')
    expect((await run('triage', sparse, '--km', '250', '--symptom', 'sad')).stderr).toContain(
      '--symptom: “sad”; expected one of no-air',
    )
    const bad = async (...words: string[]) => (await run('triage', sparse, ...asked, ...words)).stderr
    expect(await bad('--km', '621')).toMatch(/--km: “621”; expected a number from 0 to 620/)
    expect(await bad('--at', 'noon')).toContain('--at: “noon”; expected a date and a time such as')
    expect(await bad('--wheel', 'third')).toContain('--wheel: “third”; expected front or rear')
    expect(await bad('--away', 'nobody=2')).toContain('--away: “nobody”; expected one of the riders: ansel')
    expect(await bad('--away', 'ansel=2')).toContain(
      '--away: everybody who rides there; expected somebody who is there',
    )
    expect(await bad('--what', 'boredom')).toContain('what failed: "boredom"; expected something that can fail')
    expect(await bad('--bike', 'fox')).toContain('bike: "fox"; expected one that is there: mule')
  })

  it('ready', async () => {
    interface Listed {
      readonly key: string
      readonly what: string
      readonly who: string | null
      readonly lastDay: string
      readonly standing: string
      readonly undoneH: number
      readonly mechanic: string
    }
    const calendar = file('ready.ics', '')
    const answer = (await json('ready', trip, '--on', '2026-06-06', '--ics', calendar)) as {
      readonly promise: Record<'plannedH' | 'allDoneH' | 'asItStandsH', number>
      readonly tasks: Listed[]
      readonly tonight: { readonly who: string; readonly minutes: number; readonly keys: string[] }[]
    }
    const { promise, tasks, tonight } = answer
    expect(promise.asItStandsH).toBeGreaterThan(promise.plannedH)
    expect(promise.plannedH).toBeGreaterThanOrEqual(promise.allDoneH)
    const tyres = defined(tasks.find(({ key }) => key === 'check fox tyres'))
    expect(tyres).toMatchObject({
      what: 'The Fox, gravel: tyres',
      who: 'maren',
      lastDay: '2026-06-05',
      standing: 'overdue',
    })
    expect(tyres.undoneH).toBeGreaterThan(0.01)
    expect(tasks.find(({ key }) => key === 'check mule brakes')?.mechanic).toContain('mechanic')
    expect(tonight.map(({ who }) => who)).toEqual(['maren', 'ansel'])
    for (const { minutes, keys } of tonight) {
      expect(minutes).toBeLessThanOrEqual(120)
      expect(keys.length).toBeGreaterThan(2)
    }
    const written = readFileSync(calendar, 'utf8')
    expect(written.match(/BEGIN:VEVENT/g)).toHaveLength(tasks.length)
    const text = (await run('ready', trip, '--on', '2026-06-06', '--evening', '30', '--text')).stdout
    expect(text).toMatch(/^\S+ h lost with all of it done, \S+ h as it stands\nby +who +takes +undone +what\n/)
    expect(text).toMatch(/Fri 5 June +overdue +Maren +15 min +\S+ min +The Fox, gravel: tyres/)
    expect((await run('ready', trip, '--on', '6 June')).stderr).toContain('--on: “6 June”; expected a day such as')
    expect((await run('ready', trip, '--evening', '0')).stderr).toContain('--evening')
  })
  it('pack', async () => {
    type Packed = {
      bikeId: string
      places: { storageId: string; massG: number; usedMl: number; roomMl: number; layers: { thing: string }[] }[]
      out: unknown[]
      costs: { outH: number; diggingH: number }
    }
    const bikes = (await json('pack', trip)) as unknown as Packed[]
    const { riders } = (await json('split', trip)) as { riders: { massG: number; counts: Record<string, number> }[] }
    expect(bikes.map(({ bikeId }) => bikeId)).toEqual(['fox', 'mule'])
    bikes.forEach(({ places, out, costs }, b) => {
      expect(out).toEqual([])
      expect(costs.outH).toBe(0)
      expect(costs.diggingH).toBeGreaterThan(0)
      // All that its rider carries is in its bags, and none is over its brim.
      expect(places.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(riders[b]?.massG ?? NaN, 6)
      const things = places.flatMap(({ layers }) => layers.map(({ thing }) => thing))
      const carried = Object.entries(riders[b]?.counts ?? {}).flatMap(([id, count]) => (count > 0 ? [id] : []))
      expect([...new Set(things)].toSorted()).toEqual(carried.toSorted())
      for (const { usedMl, roomMl } of places) expect(usedMl).toBeLessThanOrEqual(roomMl)
    })
    const text = (await run('pack', trip, '--text')).stdout
    expect(text).toMatch(/^The Fox, gravel: \d+ min of digging/)
    expect(text).toContain('Chain lube, 15 mL dropper, in a bag of its own')
  })
  it('jobs', async () => {
    const { currency, jobs } = await json('jobs', sparse)
    expect(currency).toBe('EUR')
    const bolts = defined((jobs as { jobId?: string }[]).find(({ jobId }) => jobId === 'bolts'))
    expect(bolts).toMatchObject({
      kind: 'job',
      bikeId: 'mule',
      isTaken: false,
      price: { minutes: 30, money: 100, share: 1 },
    })
    const nets = (jobs as { netH: number }[]).map(({ netH }) => netH)
    expect(nets).toEqual([...nets].sort((a, b) => b - a))
    const text = (await run('jobs', sparse, '--text')).stdout
    expect(text).toMatch(/min +\d+ (?:min|s) +The Mule, tourer: bolts checked and locked +30 min at home and €1\.00/)
  })
  it('start', async () => {
    const { things } = await json('start', trip)
    expect((things as { id: string }[]).map(({ id }) => id)).toContain('mini-pump')
    expect((await run('start', trip, '--text')).stdout).toMatch(/^pieces +each +thing\n +1 +105 g +Mini pump/)
  })
  it('compare', async () => {
    const [few, more] = [
      file('few.json', '{"mini-pump": 1}'),
      file('more.json', '{"mini-pump": 1, "tube-622": 2, "levers-two": 1}'),
    ]
    const answer = await json('compare', alone, '--kit', few, '--kit', more, '--trips', '500')
    expect(answer).toMatchObject({ trips: 500, seed: 1 })
    const massOf = (id: string) => defined(demoTrip().bench.find((thing) => thing.id === id)).massG
    const [first, second] = answer.kits
    expect(second.fromFirst.massG).toBeCloseTo(2 * massOf('tube-622') + massOf('levers-two'), 3)
    expect(second.fromFirst.hours.mean).toBeLessThan(0)
    expect(second.fromFirst.hours.se).toBeGreaterThan(0)
    expect(second.fromFirst.hours.mean).toBeCloseTo(second.meanH - first.meanH, 9)
    expect(first.fromFirst.hours).toEqual({ mean: 0, se: 0 })
    const three = ['--kit', few, '--kit', more, '--kit', few]
    const text = (await run('compare', alone, ...three, '--trips', '500', '--text')).stdout
    expect(text).toMatch(/lost +\d+\.\d{3} h +\d+\.\d{3} h +\d+\.\d{3} h/)
    expect(text).toMatch(/against the first +-\d+\.\d{3} h ± \d+\.\d{3} h +0\.000 h ± 0\.000 h/)
    expect((await run('compare', alone, '--kit', few)).stderr).toMatch(/two to 5 kits or plans are compared, not 1/)
    expect((await run('compare', alone, ...three, ...three)).stderr).toMatch(/not 6/)
    expect((await run('compare', alone, '--kit', few, '--kit', file('unknown.json', '{"no-such": 1}'))).stderr).toMatch(
      /no-such/,
    )
  })
  it('compare, of plans', async () => {
    const plan = demoTrip()
    const other = file('helped.json', JSON.stringify({ ...plan, dials: { ...plan.dials, helper: 0.9 } }))
    const [first, second] = (await json('compare', trip, '--plan', other, '--trips', '2000')).kits
    expect(second.fromFirst.hours.mean).toBeLessThan(0)
    // They meet nearly the same trips.
    expect(second.fromFirst.hours.se).toBeLessThan(0.8 * Math.hypot(first.seH, second.seH))
    const [same, again] = (await json('compare', trip, '--plan', trip, '--trips', '200')).kits
    expect(again).toEqual(same)
    expect((await run('compare', trip)).stderr).toMatch(/two to 5 kits or plans are compared, not 0/)
  })
  it('stances', async () => {
    const { stances } = await json('stances', alone)
    expect((stances as { stance: string | null }[])[0]).toMatchObject({ stance: null, isTaken: false })
    const massOf = (id: string) =>
      defined((stances as { stance: string; massG: number }[]).find(({ stance }) => stance === id)).massG
    expect(massOf('light')).toBeLessThan(massOf('belt-and-braces'))
    const lines = (await run('stances', alone, '--text')).stdout.trimEnd().split('\n')
    expect(lines.map((line) => line.split(/\s{2,}/).at(-1))).toContain('Belt and braces')
    expect(lines).toHaveLength(2 + (stances as unknown[]).length - 1)
  })
  it('fits', async () => {
    const { fasteners, idle } = (await json('fits', trip)) as {
      fasteners: Record<string, unknown>[]
      idle: { tool: string; head: string }[]
    }
    const fastenerOf = (bike: string, fastener: string) =>
      defined(fasteners.find((row) => row.bike === bike && row.fastener === fastener))
    expect(fastenerOf('mule', 'pedals')).toMatchObject({
      verdict: 'cannot',
      coverage: 'uncovered',
      wouldTurn: { massG: 78 },
    })
    expect(fastenerOf('mule', 'crank-bolts')).toMatchObject({
      verdict: 'awkward',
      tool: 'key-8',
      head: 'hex 8',
      reason: 'a hard pull',
      handN: 267,
    })
    expect(fastenerOf('mule', 'headset-lock-nut')).toMatchObject({ coverage: 'borrowed' })
    expect(fastenerOf('mule', 'quick-release-rear')).toMatchObject({
      verdict: 'turns',
      reason: 'no tool needed',
      tool: null,
    })
    expect(idle.map(({ head }) => head)).toContain('blade 4')
    expect((await run('fits', trip, '--text')).stdout).toMatch(/^bike +fastener +drive +is +with +why\n/)
  })
  it('kit says what the bench lacks', async () => {
    const without = {
      ...demoTrip(),
      bench: demoTrip().bench.filter(({ provides }) => !provides.includes('inflate-presta')),
    }
    const { lacking } = await json('kit', file('without.json', JSON.stringify(without)))
    expect(lacking[0].items).toEqual([{ id: 'mini-pump', count: 1 }])
    expect(lacking[0].worthH).toBeGreaterThan(0.5)
  })
  it('road', async () => {
    const { days, stops } = await json('road', trip)
    expect(days).toHaveLength(8)
    expect(days[0]).toMatchObject({
      date: '2026-06-12',
      weekday: 'Friday',
      starts: '08:30',
      daylight: { rises: '05:31' },
    })
    const quillby = stops.find(({ stop }: { stop: string }) => stop === 'quillby')
    expect(quillby.arrives).toBe('2026-06-12T14:42')
    expect(quillby.services[0]).toEqual({ kind: 'bike-shop', found: 'open', waitH: 0 })
    const undated = file('undated.json', JSON.stringify({ ...demoTrip(), ride: {} }))
    expect(await run('road', undated)).toMatchObject({ status: 2 })
    expect((await run('road', undated)).stderr).toMatch(/^ride\.start: null; expected a date and a time/)
  })
  it('ledger, solve, and trips drawn from it', async () => {
    const ledger = await json('ledger', trip)
    expect(ledger.format).toBe('rag-tin.ledger/2')
    const path = file('ledger.json', JSON.stringify(ledger))
    const solved = await json('solve', path)
    // Trips drawn with the same kit lose the hours that it promises.
    const kit = file('kit.json', JSON.stringify(solved.counts))
    const drawn = await json('simulate', path, '--kit', kit, '--trips', '4000')
    expect(Math.abs(drawn.meanH - solved.promiseH)).toBeLessThan(4 * drawn.seH)
    const { promiseH, walkH, stranded } = await json('promise', path, '--kit', kit)
    expect([promiseH, walkH, stranded]).toEqual([solved.promiseH, solved.walkH, solved.stranded])
  }, 60_000)
  it('the worked example, exactly, with a proof, and drawn', async () => {
    const example = file('example.json', JSON.stringify(workedExample({ gramsPerHour: 600 })))
    const exact = await json('solve', example, '--exact')
    expect(exact.netH).toBeCloseTo(3.4845, 4)
    expect(exact.counts).toMatchObject({ pump: 1, tube: 1, link: 1, keys: 0 })
    const { proof, ...found } = await json('solve', example, '--proof')
    expect(found.counts).toEqual(exact.counts)
    expect(proof.boundNetH).toBeGreaterThan(exact.netH)
    expect(proof.gap).toBeCloseTo((proof.boundNetH - found.netH) / (found.emptyH - found.promiseH), 9)
    const again = await Promise.all(
      [1, 1, 2].map((seed) => json('simulate', example, '--trips', '500', '--seed', `${seed}`)),
    )
    expect(again[0]).toEqual(again[1])
    expect(again[0].meanH).not.toBe(again[2].meanH)
    expect(again[0].neverUsed).toBeInstanceOf(Object)
  })
  it('kit', async () => {
    const kit = await json('kit', trip)
    expect(kit.verdicts).toHaveLength(demoTrip().bench.length)
    expect(kit.promiseH).toBeLessThan(kit.emptyH)
    const pump = kit.verdicts.find(({ item }: { item: string }) => item === 'mini-pump')
    expect(pump).toMatchObject({ verdict: 'take', n: 1 })
    expect(pump.answers.length).toBeGreaterThan(3)
  })
  it('candidates', async () => {
    const { candidates } = await json('candidates', alone, '--tools', 'folding-17,key-set+breaker')
    expect(candidates).toMatchObject([
      { name: 'folding-17', pieces: 1 },
      { name: 'key-set+breaker', pieces: 2 },
    ])
    for (const { turned, easy, uncovered, fasteners, additions, kit } of candidates) {
      expect(easy).toBeLessThanOrEqual(turned)
      expect(fasteners.filter(({ coverage }: { coverage: string }) => coverage === 'uncovered')).toHaveLength(uncovered)
      expect(additions.lightest.massG).toBeLessThanOrEqual(additions.fewest.massG)
      expect(additions.cheapest.price).toBeLessThanOrEqual(additions.lightest.price)
      expect(kit.promiseH).toBeGreaterThan(0)
    }
    expect((await run('candidates', alone, '--tools', 'anvil')).stderr).toMatch(
      /--tools: “anvil”; expected the id of a thing/,
    )
  })
  it('shed, and a first bench laid from it', async () => {
    const csv = file(
      'shed.csv',
      'name,grams,count,kind,opened\nMy sealant,80,1,sealant-60,2020-01-01\nMy pump,97,1,mini-pump,\n',
    )
    const { things, massG } = await json('shed', '--csv', csv, '--on', '2026-05-30')
    expect(massG).toBe(177)
    expect(things[0].condition).toBeLessThan(0.05)
    expect((await run('shed', '--csv', csv, '--on', '2026-05-30', '--text')).stdout).toMatch(/97 g +no +My pump/)
    const started = await json('start', alone, '--shed', csv)
    expect(started.owned.map(({ name }: { name: string }) => name)).toEqual(['My sealant', 'My pump'])
    expect(started.things.some(({ id }: { id: string }) => /pump/.test(id))).toBe(false)
    const wrong = file('wrong.csv', 'name,grams\na,x\n')
    expect(await run('shed', '--csv', wrong)).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/line 2, grams: "x"/),
    })
    expect((await run('shed', '--csv', csv, '--on', 'tomorrow')).stderr).toMatch(/--on: “tomorrow”; expected a day/)
  })
  it('calc push-out', async () => {
    // 10 km and 300 m by Naismith: 10/4.828032 + 300/609.6 h; by Tobler at 3 %: 10/(6·e^−0.28) h.
    expect((await json('calc', 'push-out', '--km', '10', '--climb-m', '300')).walkH).toBeCloseTo(2.5634, 4)
    expect((await json('calc', 'push-out', '--km', '10', '--climb-m', '300', '--method', 'tobler')).walkH).toBeCloseTo(
      2.2052,
      4,
    )
  })

  it.each<[string, () => string[], RegExp]>([
    ['no command', () => [], /usage:/],
    ['an unknown command', () => ['fly'], /“fly” is not a command/],
    ['a missing file', () => ['kit', join(folder, 'none.json')], /none\.json: no such file/],
    [
      'a negative mass',
      () => [
        'kit',
        file('neg.json', '{"format":"rag-tin.trip/6","name":"x","bench":[{"id":"a","name":"b","massG":-3}]}'),
      ],
      /^bench\[0\]\.massG: -3; expected more than 0\n$/,
    ],
    [
      'a trip without a road',
      () => ['kit', file('bare.json', '{"format":"rag-tin.trip/6","name":"x"}')],
      /road\.points: no road/,
    ],
    ['a broken GPX', () => ['gpx', file('broken.gpx', '<gpx><trk>')], /not XML/],
    [
      'a GPX of 60 MB',
      () => ['gpx', file('huge.gpx', ' '.repeat(60 * 1024 * 1024))],
      /60 MB; expected a file of 48 MB at most/,
    ],
    ['a ledger that is none', () => ['solve', file('l.json', '{"format":"x"}')], /format: "x"/],
    [
      'a kit of things that are not there',
      () => ['promise', file('e.json', JSON.stringify(workedExample())), '--kit', file('k.json', '{"anvil":1}')],
      /the kit, anvil: "anvil"; expected the id of one of the items/,
    ],
    [
      'a kit of more than there is',
      () => ['promise', file('e.json', JSON.stringify(workedExample())), '--kit', file('k.json', '{"tube":4}')],
      /the kit, tube: 4; expected a whole number from 0 to the 3 there are/,
    ],
    [
      'a kit that is none',
      () => ['promise', file('e.json', JSON.stringify(workedExample())), '--kit', file('k.json', '[')],
      /not JSON/,
    ],
    ['a number that is none', () => ['calc', 'push-out', '--km', 'far'], /--km: “far”; expected a number/],
    [
      'a calendar in a folder that is not there',
      () => ['ready', sparse, '--ics', join(folder, 'none', 'ready.ics')],
      /ready\.ics: no such folder; expected a file that can be written/,
    ],
    ['an unknown option', () => ['solve', '--quickly'], /Unknown option/],
  ])('exits 2 on %s with a line that helps', async (_, words, message) => {
    const { status, stderr } = await run(...words())
    expect(status).toBe(2)
    expect(stderr).toMatch(message)
  })
})
