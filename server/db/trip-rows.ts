import { and, asc, eq, inArray, notInArray } from 'drizzle-orm'
import type { AnyMySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core'
import { catalogue } from '#catalogue'
import { homeSchema } from '#core/home'
import { logEntrySchema } from '#core/log'
import { thingSchema } from '#core/bench'
import { bikeSchema } from '#core/bike'
import { riderSchema } from '#core/crew'
import { rideSchema } from '#core/ride'
import { roadSchema, type Road } from '#core/road'
import { stopSchema, type Stop } from '#core/supply'
import { bikeFrom1, bikeFrom3, dialsSchema, thingFrom1, type PartName } from '#core/trip'
import { forecastSchema } from '#core/weather'
import type { Connection } from './connection'
import { planningColumn, planningOf } from './planning'
import type { StoredParts } from './stored-parts'
import * as t from './schema'

/**
 * The one place where a trip document is taken apart into rows and put
 * together again. Each part has a reader and a writer.
 */
type Readers = { [P in PartName]: (db: Connection, tripId: string) => Promise<StoredParts[P]> }
type Writers = { [P in PartName]: (db: Connection, tripId: string, value: StoredParts[P]) => Promise<void> }

/** Rows by what they belong to, in their order. */
function grouped<T>(rows: readonly T[], belongsTo: (row: T) => string): (key: string) => readonly T[] {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const key = belongsTo(row)
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return (key) => groups.get(key) ?? []
}

export const readPart: Readers = {
  async name(db, tripId) {
    const [row] = await db.select({ name: t.trips.name }).from(t.trips).where(eq(t.trips.id, tripId))
    return row?.name ?? ''
  },

  async road(db, tripId) {
    const [road] = await db.select().from(t.roads).where(eq(t.roads.tripId, tripId))
    return {
      name: road?.name ?? '',
      stretches: await readStretches(db, tripId),
      points: road?.points ?? '[]',
      lengthKm: road?.lengthKm ?? 0,
    }
  },

  async ride(db, tripId) {
    const [row] = await db.select().from(t.rides).where(eq(t.rides.tripId, tripId))
    const nights = await db.select().from(t.nights).where(eq(t.nights.tripId, tripId)).orderBy(asc(t.nights.position))
    return rideSchema.parse(row ? { ...row, pace: JSON.parse(row.pace) as unknown, nights } : {})
  },

  async forecast(db, tripId) {
    const [row] = await db.select().from(t.forecasts).where(eq(t.forecasts.tripId, tripId))
    const ofTrip = eq(t.weatherDays.tripId, tripId)
    const days = await db.select().from(t.weatherDays).where(ofTrip).orderBy(asc(t.weatherDays.date))
    return forecastSchema.parse({ from: row?.from, days })
  },

  async stops(db, tripId) {
    const stops = await db.select().from(t.stops).where(eq(t.stops.tripId, tripId)).orderBy(asc(t.stops.position))
    const read: Stop[] = []
    for (let i = 0; i < stops.length; i += stopsAtATime)
      read.push(...(await withServices(db, tripId, stops.slice(i, i + stopsAtATime))))
    return read
  },

  async bikes(db, tripId) {
    const rows = await db.select().from(t.bikes).where(eq(t.bikes.tripId, tripId)).orderBy(asc(t.bikes.position))
    return rows.map(({ id, name, passport }) =>
      bikeSchema.parse(bikeFrom3(bikeFrom1({ ...(JSON.parse(passport) as object), id, name }, catalogue))),
    )
  },

  async crew(db, tripId) {
    const riders = await db.select().from(t.riders).where(eq(t.riders.tripId, tripId)).orderBy(asc(t.riders.position))
    const skills = await db.select().from(t.riderSkills).where(eq(t.riderSkills.tripId, tripId))
    const practice = await db
      .select()
      .from(t.riderPractice)
      .where(eq(t.riderPractice.tripId, tripId))
      .orderBy(asc(t.riderPractice.position))
    const [skillsOf, practiceOf] = [
      grouped(skills, ({ riderId }) => riderId),
      grouped(practice, ({ riderId }) => riderId),
    ]
    return riders.map((rider) =>
      riderSchema.parse({
        ...rider,
        practice: practiceOf(rider.id),
        skills: Object.fromEntries(skillsOf(rider.id).map(({ technique, level }) => [technique, level])),
      }),
    )
  },

  async bench(db, tripId) {
    const [things, functions, units] = [
      await db.select().from(t.things).where(eq(t.things.tripId, tripId)).orderBy(asc(t.things.position)),
      await db
        .select()
        .from(t.thingFunctions)
        .where(eq(t.thingFunctions.tripId, tripId))
        .orderBy(asc(t.thingFunctions.position)),
      await db.select().from(t.thingUnits).where(eq(t.thingUnits.tripId, tripId)),
    ]
    const [functionsOf, unitsOf] = [
      grouped(functions, ({ thingId }) => thingId),
      grouped(units, ({ thingId }) => thingId),
    ]
    return things.map(({ build, ...thing }) =>
      thingSchema.parse(
        thingFrom1(
          {
            ...thing,
            ...(build !== null && (JSON.parse(build) as object)),
            from: thing.takenFrom,
            pin: thing.pinMin === null ? null : { min: thing.pinMin, max: thing.pinMax },
            provides: functionsOf(thing.id).map((row) => row.toolFunction),
            units: Object.fromEntries(unitsOf(thing.id).map((row) => [row.supplyClass, row.amount])),
          },
          catalogue,
        ),
      ),
    )
  },

  async home(db, tripId) {
    const [row] = await db.select().from(t.homes).where(eq(t.homes.tripId, tripId))
    const shops = await db
      .select()
      .from(t.homeShops)
      .where(eq(t.homeShops.tripId, tripId))
      .orderBy(asc(t.homeShops.position))
    const tasks = await db
      .select()
      .from(t.ownTasks)
      .where(eq(t.ownTasks.tripId, tripId))
      .orderBy(asc(t.ownTasks.position))
    const papers = row && { on: row.papersOn, state: row.papersState, by: row.papersBy }
    return homeSchema.parse({ country: row?.country, shops, tasks, papers })
  },

  async log(db, tripId) {
    const rows = await db
      .select({ entry: t.logEntries.entry })
      .from(t.logEntries)
      .where(eq(t.logEntries.tripId, tripId))
      .orderBy(asc(t.logEntries.position))
    return rows.map(({ entry }) => logEntrySchema.parse(JSON.parse(entry)))
  },

  async dials(db, tripId) {
    const [row] = await db.select().from(t.dials).where(eq(t.dials.tripId, tripId))
    if (!row) return dialsSchema.parse({})
    const { planning, stances, ...dials } = row
    return dialsSchema.parse({
      ...dials,
      planning: planningOf(planning),
      ...(stances !== null && { stances: JSON.parse(stances) as unknown }),
    })
  },
}

export const writePart: Writers = {
  async name(db, tripId, name) {
    await db.update(t.trips).set({ name }).where(eq(t.trips.id, tripId))
  },

  async road(db, tripId, { stretches, ...row }) {
    await db
      .insert(t.roads)
      .values({ tripId, ...row })
      .onDuplicateKeyUpdate({ set: row })
    await db.delete(t.stretches).where(eq(t.stretches.tripId, tripId))
    await insertAll(
      db,
      t.stretches,
      stretches.map((stretch, position) => ({ tripId, position, ...stretch })),
    )
  },

  async ride(db, tripId, { nights, pace, ...rest }) {
    const row = { ...rest, pace: JSON.stringify(pace) }
    await db
      .insert(t.rides)
      .values({ tripId, ...row })
      .onDuplicateKeyUpdate({ set: row })
    await db.delete(t.nights).where(eq(t.nights.tripId, tripId))
    await insertAll(
      db,
      t.nights,
      nights.map((night, position) => ({ tripId, position, ...night })),
    )
  },

  async forecast(db, tripId, { from, days }) {
    await db.insert(t.forecasts).values({ tripId, from }).onDuplicateKeyUpdate({ set: { from } })
    await db.delete(t.weatherDays).where(eq(t.weatherDays.tripId, tripId))
    await insertAll(
      db,
      t.weatherDays,
      days.map((day) => ({ tripId, ...day })),
    )
  },

  async stops(db, tripId, stops) {
    await db.delete(t.stops).where(eq(t.stops.tripId, tripId))
    await insertAll(
      db,
      t.stops,
      stops.map(({ services: _, ruledOut, ...stop }, position) => ({
        ...stop,
        ruledOut: ruledOut.join(' '),
        tripId,
        position,
      })),
    )
    const services = stops.flatMap((stop) =>
      stop.services.map((service, position) => ({ tripId, stopId: stop.id, position, ...service })),
    )
    await insertAll(
      db,
      t.services,
      services.map(({ stocks: _, parcel: __, posting, ...row }) => ({
        ...row,
        postedOn: posting.on,
        postingState: posting.state,
        postedBy: posting.by,
      })),
    )
    await insertAll(
      db,
      t.serviceStocks,
      services.flatMap(({ stopId, position, stocks }) =>
        Object.entries(stocks).map(([supplyClass, chance]) => ({ tripId, stopId, position, supplyClass, chance })),
      ),
    )
    await insertAll(
      db,
      t.serviceParcels,
      services.flatMap(({ stopId, position, parcel }) =>
        Object.entries(parcel).map(([supplyClass, amount]) => ({ tripId, stopId, position, supplyClass, amount })),
      ),
    )
  },

  async bikes(db, tripId, bikes) {
    // Riders point at bikes, so bikes that stay must stay: gone ones are deleted, the others written over.
    await deleteOthers(db, t.bikes, t.bikes.tripId, t.bikes.id, tripId, bikes)
    for (const [position, { id, name, ...passport }] of bikes.entries()) {
      const row = { position, name, passport: JSON.stringify(passport) }
      await db
        .insert(t.bikes)
        .values({ tripId, id, ...row })
        .onDuplicateKeyUpdate({ set: row })
    }
  },

  async crew(db, tripId, crew) {
    await db.delete(t.riders).where(eq(t.riders.tripId, tripId))
    await insertAll(
      db,
      t.riders,
      crew.map(({ skills: _, practice: __, ...rider }, position) => ({ tripId, position, ...rider })),
    )
    await insertAll(
      db,
      t.riderSkills,
      crew.flatMap((rider) =>
        Object.entries(rider.skills).map(([technique, level]) => ({ tripId, riderId: rider.id, technique, level })),
      ),
    )
    await insertAll(
      db,
      t.riderPractice,
      crew.flatMap(({ id: riderId, practice }) =>
        practice.map((each, position) => ({ tripId, riderId, position, ...each })),
      ),
    )
  },

  async bench(db, tripId, bench) {
    await db.delete(t.things).where(eq(t.things.tripId, tripId))
    await insertAll(
      db,
      t.things,
      bench.map(({ pin, from, provides: _, units: __, ...thing }, position) => {
        const { heads, comesApart, measures, volumeMl, longestMm, handling, carriedBy, packedIn, ...rest } = thing
        const { buying, trial, ...columns } = rest
        const build = { heads, comesApart, measures, volumeMl, longestMm, handling, carriedBy, packedIn, buying, trial }
        return {
          ...columns,
          tripId,
          position,
          pinMin: pin?.min ?? null,
          pinMax: pin?.max ?? null,
          takenFrom: from,
          build: JSON.stringify(build),
        }
      }),
    )
    await insertAll(
      db,
      t.thingFunctions,
      bench.flatMap((thing) =>
        thing.provides.map((toolFunction, position) => ({ tripId, thingId: thing.id, position, toolFunction })),
      ),
    )
    await insertAll(
      db,
      t.thingUnits,
      bench.flatMap((thing) =>
        Object.entries(thing.units).map(([supplyClass, amount]) => ({
          tripId,
          thingId: thing.id,
          supplyClass,
          amount,
        })),
      ),
    )
  },

  async home(db, tripId, { country, papers, shops, tasks }) {
    const row = { country, papersOn: papers.on, papersState: papers.state, papersBy: papers.by }
    await db
      .insert(t.homes)
      .values({ tripId, ...row })
      .onDuplicateKeyUpdate({ set: row })
    await db.delete(t.homeShops).where(eq(t.homeShops.tripId, tripId))
    await insertAll(
      db,
      t.homeShops,
      shops.map((shop, position) => ({ tripId, position, ...shop })),
    )
    await db.delete(t.ownTasks).where(eq(t.ownTasks.tripId, tripId))
    await insertAll(
      db,
      t.ownTasks,
      tasks.map((task, position) => ({ tripId, position, ...task })),
    )
  },

  async log(db, tripId, log) {
    await db.delete(t.logEntries).where(eq(t.logEntries.tripId, tripId))
    await insertAll(
      db,
      t.logEntries,
      log.map((entry, position) => ({ tripId, id: entry.id, position, entry: JSON.stringify(entry) })),
    )
  },

  async dials(db, tripId, { planning, stances, ...dials }) {
    const row = {
      ...dials,
      planning: planningColumn(planning),
      stances: stances.length > 0 ? JSON.stringify(stances) : null,
    }
    await db
      .insert(t.dials)
      .values({ tripId, ...row })
      .onDuplicateKeyUpdate({ set: row })
  },
}

async function readStretches(db: Connection, tripId: string): Promise<Road['stretches']> {
  const rows = await db
    .select()
    .from(t.stretches)
    .where(eq(t.stretches.tripId, tripId))
    .orderBy(asc(t.stretches.position))
  return roadSchema.shape.stretches.parse(rows)
}

/** So many stops are read in one go, with thousands of services perhaps; others get their turn between. */
const stopsAtATime = 50

async function withServices(
  db: Connection,
  tripId: string,
  stops: readonly (typeof t.stops.$inferSelect)[],
): Promise<Stop[]> {
  const ids = stops.map(({ id }) => id)
  const ofThese = (table: { tripId: AnyMySqlColumn; stopId: AnyMySqlColumn }) =>
    and(eq(table.tripId, tripId), inArray(table.stopId, ids))
  const serviceOf = ({ stopId, position }: { stopId: string; position: number }) => `${position} ${stopId}`
  const servicesOf = grouped(
    await db.select().from(t.services).where(ofThese(t.services)).orderBy(asc(t.services.position)),
    ({ stopId }) => stopId,
  )
  const stocksOf = grouped(await db.select().from(t.serviceStocks).where(ofThese(t.serviceStocks)), serviceOf)
  const parcelsOf = grouped(await db.select().from(t.serviceParcels).where(ofThese(t.serviceParcels)), serviceOf)
  return stops.map((stop) =>
    stopSchema.parse({
      ...stop,
      ruledOut: stop.ruledOut.split(' ').filter((kind) => kind !== ''),
      services: servicesOf(stop.id).map((service) => ({
        ...service,
        posting: { on: service.postedOn, state: service.postingState, by: service.postedBy },
        stocks: Object.fromEntries(stocksOf(serviceOf(service)).map((row) => [row.supplyClass, row.chance])),
        parcel: Object.fromEntries(parcelsOf(serviceOf(service)).map((row) => [row.supplyClass, row.amount])),
      })),
    }),
  )
}

/** So many rows go in at a time: others get their turn between, and no statement grows without end. */
const rowsAtATime = 200

async function insertAll<T extends MySqlTable>(db: Connection, table: T, rows: T['$inferInsert'][]): Promise<void> {
  for (let i = 0; i < rows.length; i += rowsAtATime) await db.insert(table).values(rows.slice(i, i + rowsAtATime))
}

async function deleteOthers(
  db: Connection,
  table: MySqlTable,
  tripColumn: AnyMySqlColumn,
  idColumn: AnyMySqlColumn,
  tripId: string,
  kept: readonly { id: string }[],
): Promise<void> {
  const ids = kept.map(({ id }) => id)
  const ofTrip = eq(tripColumn, tripId)
  await db.delete(table).where(ids.length > 0 ? and(ofTrip, notInArray(idColumn, ids)) : ofTrip)
}
