import { randomUUID } from 'node:crypto'
import { catalogue } from '#catalogue'
import { demoShed, demoTrip } from '#catalogue/demo'
import { readShedCsv } from '#core/shed'
import { readTrip } from '#core/trip'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import yauzl from 'yauzl'
import { whereStands } from './all-tables'
import { Setting, type Person } from './setting'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

const binOf = async (person: Person): Promise<string[]> =>
  ((await person.ask('GET', '/api/bin')).body as { name: string }[]).map(({ name }) => name)
const tripsOf = async (person: Person): Promise<string[]> =>
  ((await person.ask('GET', '/api/trips')).body as { name: string }[]).map(({ name }) => name)

describe('the bin', () => {
  it('shows what was thrown away, gives it back as it was, and is emptied for good', async () => {
    const tor = await setting.person('tor')
    const ids = []
    for (const name of ['One', 'Two', 'Three']) ids.push(await tor.newTrip({ ...demoTrip(), name }))
    const [first = '', two = '', three = ''] = ids
    const before = (await tor.ask('GET', `/api/trips/${two}/document`)).body
    for (const id of [first, two, three]) await tor.ask('DELETE', `/api/trips/${id}`)
    expect((await binOf(tor)).sort()).toEqual(['One', 'Three', 'Two'])
    expect((await tor.read(two)).status).toBe(404)

    expect((await tor.ask('POST', `/api/trips/${two}/restore`)).status).toBe(200)
    expect((await tor.ask('GET', `/api/trips/${two}/document`)).body).toEqual(before)
    expect((await tor.ask('DELETE', `/api/bin/${first}`)).status).toBe(200)
    expect(await binOf(tor)).toEqual(['Three'])
    // What is not in the bin is not taken away from there.
    expect((await tor.ask('DELETE', `/api/bin/${two}`)).status).toBe(404)
    expect((await tor.ask('DELETE', '/api/bin')).status).toBe(200)
    expect(await binOf(tor)).toEqual([])
    expect(await tripsOf(tor)).toEqual(['Two'])
    expect(await whereStands(setting.mariadb.url, first, three)).toEqual([])
    expect((await tor.ask('POST', `/api/trips/${first}/restore`)).status).toBe(404)
  })

  it('is one’s own', async () => {
    const [ulf, other] = [await setting.person('ulf'), await setting.person('vera')]
    const id = await ulf.newTrip({ ...demoTrip(), name: 'Ulf’s' })
    await ulf.ask('DELETE', `/api/trips/${id}`)
    expect(await binOf(other)).toEqual([])
    expect((await other.ask('DELETE', `/api/bin/${id}`)).status).toBe(404)
    expect((await other.ask('DELETE', '/api/bin')).status).toBe(200)
    expect((await other.ask('POST', `/api/trips/${id}/restore`)).status).toBe(404)
    expect(await binOf(ulf)).toEqual(['Ulf’s'])
  })
})

/** The files of a ZIP, by the library that reads them strictly. */
async function unzip(bytes: Buffer): Promise<Map<string, string>> {
  const files = new Map<string, string>()
  const zip = await yauzl.fromBufferPromise(bytes)
  for await (const entry of zip.eachEntry()) {
    const chunks: Buffer[] = []
    for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer)
    files.set(entry.fileName, Buffer.concat(chunks).toString('utf8'))
  }
  return files
}

it('all that is kept of somebody is handed out as one file, from which each trip can be imported again', async () => {
  const yngve = await setting.person('yngve')
  const ids: string[] = []
  for (const name of ['Same name', 'Same name', 'Næsten / Ørsted …', 'Thrown away'])
    ids.push(await yngve.newTrip({ ...demoTrip(), name }))
  await yngve.ask('DELETE', `/api/trips/${ids[3]}`)
  const things = demoShed.slice(0, 20)
  const changes = things.map((thing) => ({ id: thing.id, base: '', thing }))
  expect((await yngve.ask('PATCH', '/api/shed', { save: randomUUID(), changes })).status).toBe(200)
  const stranger = await setting.person('zita')
  await stranger.newTrip({ ...demoTrip(), name: 'Not theirs' })

  const answer = await fetch(`${setting.app.address}/api/account/export`, { headers: { cookie: yngve.cookies } })
  expect(answer.headers.get('content-disposition')).toBe('attachment; filename="rag-tin-yngve.zip"')
  const files = await unzip(Buffer.from(await answer.arrayBuffer()))
  expect([...files.keys()].sort()).toEqual([
    'account.json',
    'bin/thrown-away.rag-tin.json',
    'shed.csv',
    'trips/nsten-rsted.rag-tin.json',
    'trips/same-name-2.rag-tin.json',
    'trips/same-name.rag-tin.json',
  ])
  // What a doctor should know goes out only where that is asked for.
  await yngve.ask('PUT', '/api/account/identity', { blood: 'A' })
  const exported = async (query: string) => {
    const given = await fetch(`${setting.app.address}/api/account/export${query}`, {
      headers: { cookie: yngve.cookies },
    })
    return unzip(Buffer.from(await given.arrayBuffer()))
  }
  expect([...(await exported('')).values()].join()).not.toContain('"blood"')
  expect(JSON.parse((await exported('?identity=yes')).get('identity.json') ?? '')).toMatchObject({ blood: 'A' })
  const shed = readShedCsv(files.get('shed.csv') ?? '', catalogue.items, randomUUID)
  expect(shed.things).toEqual([...things].sort((a, b) => (a.id < b.id ? -1 : 1)))
  const account = JSON.parse(files.get('account.json') ?? '')
  expect(account).toMatchObject({ format: 'rag-tin.account/1', name: 'yngve', email: 'yngve@quern.example' })
  expect(account.signedIn).toHaveLength(1)
  expect(account.trips.map((trip: { name: string }) => trip.name).sort()).toEqual(
    ['Same name', 'Same name', 'Næsten / Ørsted …', 'Thrown away'].sort(),
  )
  for (const [name, text] of files) {
    if (name === 'account.json' || name === 'shed.csv') continue
    expect(readTrip(JSON.parse(text), catalogue).bench).toHaveLength(demoTrip().bench.length)
    expect((await yngve.ask('POST', '/api/trips', text)).status).toBe(201)
  }
  const document = await fetch(`${setting.app.address}/api/trips/${ids[2]}/document`, {
    headers: { cookie: yngve.cookies },
  })
  expect(files.get('trips/nsten-rsted.rag-tin.json')).toBe(await document.text())
})
