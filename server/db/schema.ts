import { taskStates } from '#core/task'
import {
  boolean,
  char,
  datetime,
  double,
  foreignKey,
  index,
  int,
  longtext,
  mediumtext,
  mysqlEnum,
  mysqlTable,
  primaryKey,
  text,
  varchar,
} from 'drizzle-orm/mysql-core'

const partId = (name: string) => varchar(name, { length: 60 }).notNull()
const tripId = () =>
  char('trip_id', { length: 36 })
    .notNull()
    .references(() => trips.id, { onDelete: 'cascade' })
const position = () => int('position').notNull()
const taskState = (name: string) => mysqlEnum(name, taskStates).notNull().default('open')
/** When something before a ride is done (such as 2026-05-30; null while that is open), what became of it, and who does it. */
const task = () => ({
  on: char('on_day', { length: 10 }),
  state: taskState('state'),
  by: varchar('done_by', { length: 60 }),
})

export const users = mysqlTable('users', {
  id: char('id', { length: 36 }).primaryKey(),
  email: varchar('email', { length: 190 }).notNull().unique(),
  name: varchar('name', { length: 120 }).notNull(),
  /** Empty for an account that nobody signs in to with a password. */
  passwordHash: varchar('password_hash', { length: 255 }).notNull(),
  /** Planning values that this person knows better, for trips to come, as JSON; null where there are none. */
  planning: text('planning'),
  /** What this person has on a card in case they cannot speak, as JSON; null where they have written nothing. */
  identity: text('identity'),
  createdAt: datetime('created_at').notNull(),
})

/** Where somebody is signed in: a cookie whose session is not here opens nothing. */
export const sessions = mysqlTable(
  'sessions',
  {
    id: char('id', { length: 36 }).primaryKey(),
    userId: char('user_id', { length: 36 })
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    createdAt: datetime('created_at').notNull(),
  },
  (table) => [index('sessions_user').on(table.userId)],
)

/** Things that somebody owns, whatever trips they go on. */
export const shedThings = mysqlTable(
  'shed_things',
  {
    userId: char('user_id', { length: 36 })
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    id: partId('id'),
    /** The save that made it what it is: what keeps two windows from overwriting each other. */
    version: char('version', { length: 36 }).notNull(),
    /** The thing, as JSON. */
    thing: mediumtext('thing').notNull(),
  },
  (table) => [primaryKey({ columns: [table.userId, table.id] })],
)

/** Letters that let somebody choose a new password, by the hash of what stands in them. */
export const passwordLetters = mysqlTable(
  'password_letters',
  {
    tokenHash: char('token_hash', { length: 64 }).primaryKey(),
    userId: char('user_id', { length: 36 })
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    createdAt: datetime('created_at').notNull(),
  },
  (table) => [index('password_letters_user').on(table.userId)],
)

export const trips = mysqlTable(
  'trips',
  {
    id: char('id', { length: 36 }).primaryKey(),
    ownerId: char('owner_id', { length: 36 })
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    /** Who of the crew the owner is; no foreign key, for a rider may go and come back. */
    ownerRider: varchar('owner_rider', { length: 60 }),
    name: varchar('name', { length: 120 }).notNull(),
    createdAt: datetime('created_at').notNull(),
    updatedAt: datetime('updated_at', { fsp: 3 }).notNull(),
    /** Set while a trip lies in the bin; it can be taken out again. */
    deletedAt: datetime('deleted_at'),
  },
  (table) => [index('trips_owner').on(table.ownerId)],
)

/** Who shares a trip with its owner. */
export const members = mysqlTable(
  'members',
  {
    tripId: tripId(),
    userId: char('user_id', { length: 36 })
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    role: mysqlEnum('role', ['rider', 'reader']).notNull(),
    /** Who of the crew they are; no foreign key, for a rider may go and come back. */
    rider: varchar('rider_id', { length: 60 }),
    joinedAt: datetime('joined_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.userId] }), index('members_user').on(table.userId)],
)

/** Links that let somebody join a trip, by the hash of what stands in them. */
export const invitations = mysqlTable(
  'invitations',
  {
    id: char('id', { length: 36 }).primaryKey(),
    tripId: tripId(),
    tokenHash: char('token_hash', { length: 64 }).notNull().unique(),
    role: mysqlEnum('role', ['rider', 'reader']).notNull(),
    rider: varchar('rider_id', { length: 60 }),
    createdAt: datetime('created_at').notNull(),
  },
  (table) => [index('invitations_trip').on(table.tripId)],
)

/** How often each part of a trip has been saved, and by which save: what keeps two devices from overwriting each other. */
export const partVersions = mysqlTable(
  'part_versions',
  {
    tripId: tripId(),
    part: varchar('part', { length: 20 }).notNull(),
    version: int('version').notNull(),
    /** Empty for the state a trip began with. */
    save: varchar('save', { length: 36 }).notNull().default(''),
    savedAt: datetime('saved_at', { fsp: 3 }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.part] })],
)

/** Saves that have been done, so that one that is offered again, its answer being lost, is not done again. */
export const saves = mysqlTable(
  'saves',
  {
    tripId: tripId(),
    save: char('save', { length: 36 }).notNull(),
    at: datetime('at', { fsp: 3 }).notNull(),
    /** The version that it made of each part, as JSON. */
    made: text('made').notNull(),
    /** Whose it was; null where the account was closed since, or nobody remembered. */
    userId: char('user_id', { length: 36 }).references(() => users.id, { onDelete: 'set null' }),
    /** What it changed, as JSON; null where nobody remembered. */
    changes: text('changes'),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.save] })],
)

export const roads = mysqlTable('roads', {
  tripId: char('trip_id', { length: 36 })
    .primaryKey()
    .references(() => trips.id, { onDelete: 'cascade' }),
  name: varchar('name', { length: 200 }).notNull(),
  /** The line as JSON: [[lat, lon, eleM or null], …]. */
  points: longtext('points').notNull(),
  /** Measured when saved, so that places on the road can be checked without the line. */
  lengthKm: double('length_km').notNull(),
})

export const stretches = mysqlTable(
  'stretches',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    fromKm: double('from_km').notNull(),
    toKm: double('to_km').notNull(),
    surface: varchar('surface', { length: 20 }).notNull(),
    thorns: boolean('thorns').notNull(),
    wet: boolean('wet').notNull(),
    signal: boolean('has_signal').notNull().default(true),
    traffic: varchar('traffic', { length: 20 }).notNull().default('quiet'),
    apart: double('apart'),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

/** When the ride is, and how fast; a trip without a row is not planned in time yet. */
export const rides = mysqlTable('rides', {
  tripId: char('trip_id', { length: 36 })
    .primaryKey()
    .references(() => trips.id, { onDelete: 'cascade' }),
  /** By the clock on the wall: 2026-06-12T08:00. */
  start: char('start_wall', { length: 16 }),
  utcOffsetH: double('utc_offset_h').notNull(),
  country: char('country', { length: 2 }),
  dayStartsH: double('day_starts_h').notNull(),
  ridingH: double('riding_h').notNull(),
  pauseH: double('pause_h').notNull(),
  climbMPerH: double('climb_m_per_h').notNull(),
  /** Speed on each surface in km/h, as JSON. */
  pace: text('pace').notNull(),
  apart: double('apart').notNull().default(0),
  emergency: varchar('emergency', { length: 300 }).notNull().default(''),
  whoKnows: varchar('who_knows', { length: 300 }).notNull().default(''),
})

export const nights = mysqlTable(
  'nights',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    roadKm: double('road_km').notNull(),
    /** The stop it holds on to; no foreign key, for a night outlives its stop. */
    stop: varchar('stop_id', { length: 60 }),
    nights: int('nights').notNull(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

/** Who says what the weather becomes; a trip without a row has no forecast. */
export const forecasts = mysqlTable('forecasts', {
  tripId: char('trip_id', { length: 36 })
    .primaryKey()
    .references(() => trips.id, { onDelete: 'cascade' }),
  from: varchar('said_by', { length: 120 }).notNull(),
})

export const weatherDays = mysqlTable(
  'weather_days',
  {
    tripId: tripId(),
    date: char('date_wall', { length: 10 }).notNull(),
    lowC: double('low_c').notNull(),
    highC: double('high_c').notNull(),
    rainMm: double('rain_mm').notNull(),
    windKmH: double('wind_km_h').notNull(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.date] })],
)

export const stops = mysqlTable(
  'stops',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    name: varchar('name', { length: 120 }).notNull(),
    roadKm: double('road_km').notNull(),
    offRoadM: double('off_road_m').notNull(),
    exit: varchar('exit_kind', { length: 20 }),
    exitWaitH: double('exit_wait_h').notNull().default(0),
    waitH: double('wait_h'),
    bigWrench: boolean('big_wrench').notNull().default(false),
    note: text('note').notNull(),
    hint: varchar('hint', { length: 200 }).notNull().default(''),
    /** Kinds, with blanks between them. */
    ruledOut: varchar('ruled_out', { length: 900 }).notNull().default(''),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

export const services = mysqlTable(
  'services',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    stopId: partId('stop_id'),
    position: position(),
    kind: varchar('kind', { length: 40 }).notNull(),
    knownFrom: varchar('known_from', { length: 20 }).notNull().default('map'),
    hours: varchar('hours', { length: 200 }).notNull(),
    /** When what is sent there is posted, what became of it, and who does it. */
    postedOn: char('posted_on', { length: 10 }),
    postingState: taskState('posting_state'),
    postedBy: varchar('posted_by', { length: 60 }),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.stopId, table.position] }),
    foreignKey({ columns: [table.tripId, table.stopId], foreignColumns: [stops.tripId, stops.id] }).onDelete('cascade'),
  ],
)

/** What is known of a very place: how likely it has a class. */
export const serviceStocks = mysqlTable(
  'service_stocks',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    stopId: partId('stop_id'),
    position: position(),
    supplyClass: partId('supply_class'),
    chance: double('chance').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.stopId, table.position, table.supplyClass] }),
    foreignKey({
      name: 'service_stocks_service',
      columns: [table.tripId, table.stopId, table.position],
      foreignColumns: [services.tripId, services.stopId, services.position],
    }).onDelete('cascade'),
  ],
)

/** What somebody has posted to a place for themselves. */
export const serviceParcels = mysqlTable(
  'service_parcels',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    stopId: partId('stop_id'),
    position: position(),
    supplyClass: partId('supply_class'),
    amount: double('amount').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.stopId, table.position, table.supplyClass] }),
    foreignKey({
      name: 'service_parcels_service',
      columns: [table.tripId, table.stopId, table.position],
      foreignColumns: [services.tripId, services.stopId, services.position],
    }).onDelete('cascade'),
  ],
)

export const bikes = mysqlTable(
  'bikes',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    name: varchar('name', { length: 120 }).notNull(),
    /** Everything else there is to know of the bike, as JSON. */
    passport: longtext('passport').notNull(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

export const riders = mysqlTable(
  'riders',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    id: partId('id'),
    position: position(),
    name: varchar('name', { length: 120 }).notNull(),
    bikeId: partId('bike_id'),
    joins: varchar('joins_at', { length: 60 }),
    leaves: varchar('leaves_at', { length: 60 }),
    hands: int('hands').notNull(),
    handMostN: double('hand_most_n'),
    loadG: double('load_g'),
    carriesMostG: double('carries_most_g'),
    carriesMostMl: double('carries_most_ml'),
    share: double('share').notNull().default(1),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.id] }),
    foreignKey({ columns: [table.tripId, table.bikeId], foreignColumns: [bikes.tripId, bikes.id] }).onDelete('cascade'),
  ],
)

export const riderSkills = mysqlTable(
  'rider_skills',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    riderId: partId('rider_id'),
    technique: partId('technique'),
    level: int('level').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.riderId, table.technique] }),
    foreignKey({ columns: [table.tripId, table.riderId], foreignColumns: [riders.tripId, riders.id] }).onDelete(
      'cascade',
    ),
  ],
)

export const riderPractice = mysqlTable(
  'rider_practice',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    riderId: partId('rider_id'),
    position: position(),
    technique: partId('technique'),
    level: int('level').notNull(),
    ...task(),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.riderId, table.position] }),
    foreignKey({ columns: [table.tripId, table.riderId], foreignColumns: [riders.tripId, riders.id] }).onDelete(
      'cascade',
    ),
  ],
)

export const things = mysqlTable(
  'things',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    name: varchar('name', { length: 120 }).notNull(),
    massG: double('mass_g').notNull(),
    count: int('count').notNull(),
    condition: double('condition_share').notNull(),
    pinMin: int('pin_min'),
    pinMax: int('pin_max'),
    takenFrom: varchar('taken_from', { length: 60 }),
    shed: varchar('shed_id', { length: 60 }),
    owned: int('owned'),
    broughtBy: varchar('brought_by', { length: 60 }),
    boughtAt: varchar('bought_at', { length: 60 }),
    note: text('note').notNull(),
    /** Its heads, its measures, who carries it and how it is got and tried as JSON; null where it was laid down before they were told apart from functions. */
    build: longtext('build'),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

export const thingFunctions = mysqlTable(
  'thing_functions',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    thingId: partId('thing_id'),
    position: position(),
    toolFunction: partId('tool_function'),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.thingId, table.position] }),
    foreignKey({ columns: [table.tripId, table.thingId], foreignColumns: [things.tripId, things.id] }).onDelete(
      'cascade',
    ),
  ],
)

export const thingUnits = mysqlTable(
  'thing_units',
  {
    tripId: char('trip_id', { length: 36 }).notNull(),
    thingId: partId('thing_id'),
    supplyClass: partId('supply_class'),
    amount: double('amount').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.tripId, table.thingId, table.supplyClass] }),
    foreignKey({ columns: [table.tripId, table.thingId], foreignColumns: [things.tripId, things.id] }).onDelete(
      'cascade',
    ),
  ],
)

/** What is said of the time before a ride at home. */
export const homes = mysqlTable('homes', {
  tripId: char('trip_id', { length: 36 })
    .primaryKey()
    .references(() => trips.id, { onDelete: 'cascade' }),
  country: char('country', { length: 2 }),
  papersOn: char('papers_on', { length: 10 }),
  papersState: taskState('papers_state'),
  papersBy: varchar('papers_by', { length: 60 }),
})

/** Shops of one's own. */
export const homeShops = mysqlTable(
  'home_shops',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    name: varchar('name', { length: 120 }).notNull(),
    hours: varchar('hours', { length: 200 }).notNull(),
    deliveryDays: int('delivery_days'),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

/** What is to be done before a ride beside what its plan asks for. */
export const ownTasks = mysqlTable(
  'own_tasks',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    name: varchar('name', { length: 120 }).notNull(),
    minutes: double('minutes').notNull(),
    note: text('note').notNull(),
    ...task(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

/** What happened on the road. */
export const logEntries = mysqlTable(
  'log_entries',
  {
    tripId: tripId(),
    id: partId('id'),
    position: position(),
    /** The entry as JSON: each kind says something else. */
    entry: mediumtext('entry').notNull(),
  },
  (table) => [primaryKey({ columns: [table.tripId, table.id] })],
)

export const dials = mysqlTable('dials', {
  tripId: char('trip_id', { length: 36 })
    .primaryKey()
    .references(() => trips.id, { onDelete: 'cascade' }),
  gramsPerHour: double('grams_per_hour'),
  budgetG: double('budget_g'),
  budgetMoney: int('budget_money'),
  trust: double('trust').notNull(),
  waitH: double('wait_h').notNull().default(3),
  walking: varchar('walking', { length: 20 }).notNull(),
  walkHoursPerDay: double('walk_hours_per_day').notNull(),
  nightOutH: double('night_out_h').notNull(),
  rideOverH: double('ride_over_h').notNull(),
  helper: double('helper').notNull(),
  liftWaitH: double('lift_wait_h'),
  handMostN: double('hand_most_n').notNull().default(400),
  homeShare: double('home_share').notNull().default(0.05),
  currency: char('currency', { length: 3 }).notNull().default('EUR'),
  moneyPerHour: int('money_per_hour').default(3000),
  reckoning: int('reckoning').notNull().default(1),
  /** Planning values that somebody knows better, as JSON; null where there are none. */
  planning: text('planning'),
  /** Schools of thought that were taken up, as JSON; null where there are none. */
  stances: mediumtext('stances'),
})
