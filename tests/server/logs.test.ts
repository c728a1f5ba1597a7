import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { demoTrip } from '#catalogue/demo'
import { createConnection } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Person, Setting } from './setting'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

function logged(): string {
  const folders = [join(setting.folder, 'logs'), join(setting.folder, 'mariadb/logs')]
  return folders
    .flatMap((folder) => readdirSync(folder).map((file) => readFileSync(join(folder, file), 'utf8')))
    .join('')
}

it('what fails is logged with its place and its statement, and nothing in the log is anybody’s own', async () => {
  const person = await setting.person('wendeline')
  const note = 'left the spare key under the third stone'
  const trip = { ...demoTrip(), name: 'Round the Kesset' }
  const id = await person.newTrip(trip)
  const stranger = new Person(setting)
  await stranger.ask('POST', '/api/session', { email: 'wendeline@quern.example', password: 'guessed wrong again' })
  await stranger.ask('POST', '/api/session', '{"email": "half of it@quern.example')

  const connection = await createConnection(setting.mariadb.url)
  await connection.query('RENAME TABLE stops TO elsewhere')
  const stops = trip.stops.map((stop) => ({ ...stop, note }))
  const { status, body } = await person.save(id, { part: 'stops', base: 1, value: stops })
  expect(status).toBe(500)
  expect(JSON.stringify(body)).not.toContain('insert')
  await connection.query('RENAME TABLE elsewhere TO stops')
  await connection.query('DELETE FROM stops')
  await connection.query('ALTER TABLE stops MODIFY note VARCHAR(5)')
  await connection.end()
  expect((await person.save(id, { part: 'stops', base: 1, value: stops })).status).toBe(500)

  const failuresLogged = () =>
    logged()
      .split('\n')
      .filter((line) => line.startsWith('{') && line.endsWith('}'))
      .map((line) => JSON.parse(line))
      .filter((line) => line.failure)
  await expect.poll(failuresLogged).toHaveLength(2)
  const failures = failuresLogged()
  expect(failures[0]).toMatchObject({
    method: 'PATCH',
    route: '/api/trips/:id',
    status: 500,
    failure: { cause: { sql: expect.stringContaining('`stops`'), cause: { code: 'ER_NO_SUCH_TABLE' } } },
  })
  for (const own of [
    'wendeline',
    note,
    'Kesset',
    'guessed',
    'rides far',
    'half of it',
    id,
    person.cookies.slice(8, 60),
  ])
    expect(logged(), own).not.toContain(own)
})
