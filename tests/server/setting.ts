import { randomUUID } from 'node:crypto'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { startApp, type RunningApp } from '../../scripts/app-server'
import { startMariadb, type RunningMariadb } from '../../scripts/mariadb'
import { anyFreePort } from '../../scripts/ports'
import { migrateDatabase } from '../../scripts/upgrade'
import { quickFolder } from '../quick-folder'

/** A database server and an app server of a test's own, in a folder that goes with them. */
export class Setting {
  private constructor(
    readonly folder: string,
    public mariadb: RunningMariadb,
    public app: RunningApp,
    private readonly settings: Readonly<Record<string, string>>,
  ) {}

  /** @param settings of the server, beside those of the tests */
  static async start(settings: Readonly<Record<string, string>> = {}): Promise<Setting> {
    const folder = quickFolder('rag-tin-test-')
    const mariadb = await startMariadb(join(folder, 'mariadb'))
    try {
      await migrateDatabase(mariadb.url)
      return new Setting(folder, mariadb, await Setting.serve(folder, mariadb, settings), settings)
    } catch (error) {
      // Nobody else could stop it.
      await mariadb.stop()
      throw error
    }
  }

  private static async serve(
    folder: string,
    mariadb: RunningMariadb,
    settings: Readonly<Record<string, string>>,
  ): Promise<RunningApp> {
    return startApp({
      folder,
      port: await anyFreePort(),
      databaseUrl: mariadb.url,
      // Crowds sign up from this one machine.
      settings: { NUXT_SIGN_UPS_PER_HOUR: '100000', ...settings },
    })
  }

  /** Starts both again after one or both were killed. */
  async restart(): Promise<void> {
    await this.app.stop()
    await this.mariadb.stop()
    this.mariadb = await startMariadb(join(this.folder, 'mariadb'))
    this.app = await Setting.serve(this.folder, this.mariadb, this.settings)
  }

  async stop(): Promise<void> {
    await this.app.stop()
    await this.mariadb.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }

  /** A person with a browser's cookie jar, signed up already. */
  async person(name: string): Promise<Person> {
    const person = new Person(this)
    await person.ask('POST', '/api/account', { name, email: `${name}@quern.example`, password: `${name} rides far` })
    return person
  }
}

export interface Answer {
  readonly status: number
  // What a server answers has no type until it is looked at.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any
}

/** Where an app server answers, which may change. */
interface Served {
  readonly app: { readonly address: string }
}

export class Person {
  private readonly jar = new Map<string, string>()
  private readonly heard = new Map<string, string>()

  constructor(private readonly setting: Served) {}

  async ask(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Answer> {
    const answer = await fetch(`${this.setting.app.address}${path}`, {
      method,
      headers: {
        cookie: this.cookies,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    for (const set of answer.headers.getSetCookie()) {
      const [name = '', value = ''] = set.split(';', 1)[0]?.split('=', 2) ?? []
      this.jar.set(name, value)
    }
    const text = await answer.text()
    return { status: answer.status, body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text }
  }

  /** What this person's browser sends to be known by. */
  get cookies(): string {
    return [...this.jar].map(([name, value]) => `${name}=${value}`).join('; ')
  }

  /** Another device of the same person, with a copy of all that this one is known by. */
  copy(): Person {
    const copy = new Person(this.setting)
    for (const [name, value] of this.jar) copy.jar.set(name, value)
    return copy
  }

  async newTrip(document: unknown): Promise<string> {
    return (await this.ask('POST', '/api/trips', document)).body.id
  }

  /** Saves parts of a trip, each from the revision of a number: as this person last heard of it. */
  async save(tripId: string, ...changes: { part: string; base: number; value: unknown }[]): Promise<Answer> {
    return this.saveAs(randomUUID(), tripId, ...changes)
  }

  async saveAs(
    save: string,
    tripId: string,
    ...changes: { part: string; base: number; value: unknown }[]
  ): Promise<Answer> {
    const saveOf = (part: string, number: number) => this.heard.get(`${tripId} ${part} ${number}`) ?? ''
    const answer = await this.ask('PATCH', `/api/trips/${tripId}`, {
      save,
      changes: changes.map(({ part, base, value }) => ({
        part,
        base: { number: base, save: saveOf(part, base) },
        value,
      })),
    })
    this.hear(tripId, answer.body.made)
    return answer
  }

  /** The trip with its revisions. */
  async read(tripId: string): Promise<Answer> {
    const answer = await this.ask('GET', `/api/trips/${tripId}`)
    this.hear(tripId, answer.body.revisions)
    return answer
  }

  private hear(tripId: string, revisions: Record<string, { number: number; save: string }> | undefined): void {
    for (const [part, { number, save }] of Object.entries(revisions ?? {}))
      this.heard.set(`${tripId} ${part} ${number}`, save)
  }
}
