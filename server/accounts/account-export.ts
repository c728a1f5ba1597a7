import { Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import { catalogue } from '#catalogue'
import { writeShedCsv } from '#core/shed'
import type { Database } from '../db/connection'
import { planningOf } from '../db/planning'
import { readIdentity } from '../db/identity'
import { readShed } from '../db/shed'
import { listBin, listShared, listTrips, readAnyDocument } from '../db/trips'
import type { Person } from './people'
import { sessionsOf } from './sessions'

export const accountExportFormat = 'rag-tin.account/1'

/**
 * All that is kept of somebody: a ZIP file of `account.json`, of the shed as a table, and of each trip as the document that can be imported
 * again, those of the bin in a folder of their own. Trips are read one after another, as the file is taken.
 *
 * @param nameFor the name of a trip as one of a file
 * @param withIdentity whether what a doctor should know goes out as well: only where somebody asked for it
 */
export async function exportAccount(
  db: Database,
  { id, name, email, createdAt, planning }: Person,
  nameFor: (name: string) => string,
  withIdentity: boolean,
): Promise<Readable> {
  const kept = [
    ...(await listTrips(db, id)).map((trip) => ({ ...trip, folder: 'trips' })),
    ...(await listBin(db, id)).map((trip) => ({ ...trip, folder: 'bin' })),
  ]
  const taken = new Set<string>()
  const trips = kept.map((trip) => ({ ...trip, file: freeName(`${trip.folder}/${nameFor(trip.name)}`, taken) }))

  const zip = new ZipFile()
  const account = {
    format: accountExportFormat,
    name,
    email,
    since: createdAt,
    planning: planningOf(planning),
    signedIn: (await sessionsOf(db, id)).map((session) => session.createdAt),
    sharedWithMe: (await listShared(db, id)).map(({ name, owner, role }) => ({ name, owner, role })),
    trips: trips.map(({ file, name, updatedAt, deletedAt }) => ({ file, name, updatedAt, thrownAwayAt: deletedAt })),
  }
  zip.addBuffer(Buffer.from(`${JSON.stringify(account, null, 2)}\n`), 'account.json')
  if (withIdentity) {
    const identity = await readIdentity(db, id)
    zip.addBuffer(Buffer.from(`${JSON.stringify(identity, null, 2)}\n`), 'identity.json')
  }
  const shed = (await readShed(db, id)).flatMap(({ thing }) => thing ?? [])
  zip.addBuffer(Buffer.from(writeShedCsv(shed, catalogue.items)), 'shed.csv')
  for (const { id: tripId, file, updatedAt } of trips) {
    zip.addReadStreamLazy(file, { mtime: updatedAt }, (take) => {
      readAnyDocument(db, id, tripId).then(
        (document) => take(null, Readable.from([document])),
        (error: unknown) => take(error, Readable.from([])),
      )
    })
  }
  const file = new Readable().wrap(zip.outputStream)
  // One that cannot be finished is cut off, so that nobody takes it for the whole.
  zip.on('error', (error: Error) => file.destroy(error))
  zip.end()
  return file
}

function freeName(name: string, taken: Set<string>): string {
  for (let i = 1; ; i++) {
    const file = `${name}${i === 1 ? '' : `-${i}`}.rag-tin.json`
    if (taken.has(file)) continue
    taken.add(file)
    return file
  }
}
