import { and, asc, eq, isNull } from 'drizzle-orm'
import type { Access, Role } from '#core/access'
import { lockTrip, mustOwn, NotAllowed, standingOf } from '../db/access'
import type { Connection, Database } from '../db/connection'
import { members, riders, trips, users } from '../db/schema'
import { allOrNothing } from '../db/transaction'
import { Refusal } from '../refusal'
import { openInvitations, type Invitation } from './invitations'
import type { MemberRole } from './schema'

/** Somebody who shares a trip, as the others see them. */
export interface PersonOfTrip {
  readonly id: string
  readonly name: string
  readonly role: Role
  /** Who of the crew they are. */
  readonly rider: string | null
}

export interface PeopleOfTrip {
  readonly access: Access
  /** The owner first, then in the order in which they joined. */
  readonly people: readonly PersonOfTrip[]
  /** Links that are still good; for the owner's eyes. */
  readonly invitations: readonly Invitation[]
}

/** Who shares a trip. @throws NoSuchTrip */
export async function readPeople(db: Database, userId: string, tripId: string): Promise<PeopleOfTrip> {
  const { access } = await standingOf(db, userId, tripId)
  const owner = await db
    .select({ id: users.id, name: users.name, rider: trips.ownerRider })
    .from(trips)
    .innerJoin(users, eq(users.id, trips.ownerId))
    .where(eq(trips.id, tripId))
  const others = await db
    .select({ id: users.id, name: users.name, role: members.role, rider: members.rider })
    .from(members)
    .innerJoin(users, eq(users.id, members.userId))
    .where(eq(members.tripId, tripId))
    .orderBy(asc(members.joinedAt), asc(users.name))
  const invitations = access.role === 'owner' ? await openInvitations(db, tripId) : []
  return { access, people: [...owner.map((each) => ({ ...each, role: 'owner' as const })), ...others], invitations }
}

/**
 * Says what somebody may do, and who of the crew they are. The owner says it of everybody.
 *
 * @throws NoSuchTrip, NotAllowed, or Refusal where there is nobody such, or somebody else is that rider already
 */
export async function changePersonOfTrip(
  db: Database,
  ownerId: string,
  tripId: string,
  personId: string,
  { role, rider }: { readonly role?: MemberRole | undefined; readonly rider?: string | null | undefined },
): Promise<void> {
  await allOrNothing(db, async (tx) => {
    await lockTrip(tx, tripId)
    await mustOwn(tx, ownerId, tripId, 'The owner of this plan says who may do what.')
    if (rider) await mustBeFree(tx, tripId, personId, rider)
    if (personId === ownerId) {
      if (role) throw new Refusal(['role: the owner stays the owner; hand the plan over instead.'])
      if (rider !== undefined) await tx.update(trips).set({ ownerRider: rider }).where(eq(trips.id, tripId))
      return
    }
    await mustShare(tx, tripId, personId)
    const change = { ...(role && { role }), ...(rider !== undefined && { rider }) }
    if (Object.keys(change).length > 0) await tx.update(members).set(change).where(memberOf(tripId, personId))
  })
}

/**
 * Somebody leaves a trip, or is taken off it by its owner. What they have put into the plan stays.
 *
 * @throws NoSuchTrip, NotAllowed, or Refusal where it is the owner, or nobody
 */
export async function leaveTrip(db: Database, userId: string, tripId: string, personId: string): Promise<void> {
  await allOrNothing(db, async (tx) => {
    const { access } = await standingOf(tx, userId, tripId)
    if (personId !== userId && access.role !== 'owner')
      throw new NotAllowed(['The owner of this plan takes people off it. You can leave it yourself.'])
    if (personId === userId && access.role === 'owner')
      throw new Refusal(['The owner does not leave a plan. Hand it over first, or throw it away.'])
    await mustShare(tx, tripId, personId)
    await tx.delete(members).where(memberOf(tripId, personId))
  })
}

/**
 * Another becomes the owner; who was it goes on as a rider.
 *
 * @throws NoSuchTrip, NotAllowed, or Refusal where the other does not share the trip
 */
export async function handOverTrip(db: Database, ownerId: string, tripId: string, personId: string): Promise<void> {
  await allOrNothing(db, async (tx) => {
    await lockTrip(tx, tripId)
    await mustOwn(tx, ownerId, tripId, 'Only the owner hands a plan over.')
    if (personId !== ownerId) await giveTo(tx, tripId, ownerId, await mustShare(tx, tripId, personId))
  })
}

/**
 * An owner goes for good: each trip that others ride with them becomes that of the rider who joined first. What nobody
 * else rides goes with its owner.
 */
export async function leaveTripsToOthers(tx: Connection, ownerId: string): Promise<void> {
  const riding = await tx
    .select({ tripId: members.tripId, userId: members.userId, rider: members.rider })
    .from(members)
    .innerJoin(trips, eq(trips.id, members.tripId))
    .where(and(eq(trips.ownerId, ownerId), isNull(trips.deletedAt), eq(members.role, 'rider')))
    .orderBy(asc(members.joinedAt), asc(members.userId))
  const first = new Map(riding.toReversed().map((member) => [member.tripId, member]))
  for (const [tripId, heir] of first) {
    await tx.update(trips).set({ ownerId: heir.userId, ownerRider: heir.rider }).where(eq(trips.id, tripId))
    await tx.delete(members).where(memberOf(tripId, heir.userId))
  }
}

async function giveTo(
  tx: Connection,
  tripId: string,
  ownerId: string,
  heir: { readonly userId: string; readonly rider: string | null },
): Promise<void> {
  const [was] = await tx.select({ rider: trips.ownerRider }).from(trips).where(eq(trips.id, tripId))
  await tx.delete(members).where(memberOf(tripId, heir.userId))
  await tx.update(trips).set({ ownerId: heir.userId, ownerRider: heir.rider }).where(eq(trips.id, tripId))
  await tx
    .insert(members)
    .values({ tripId, userId: ownerId, role: 'rider', rider: was?.rider ?? null, joinedAt: new Date() })
}

export const memberOf = (tripId: string, userId: string) => and(eq(members.tripId, tripId), eq(members.userId, userId))

async function mustShare(tx: Connection, tripId: string, personId: string) {
  const [member] = await tx.select().from(members).where(memberOf(tripId, personId))
  if (!member) throw new Refusal(['person: nobody who shares this plan; they may have left it meanwhile.'])
  return member
}

/** One rider of the crew is one person. */
async function mustBeFree(tx: Connection, tripId: string, personId: string, rider: string): Promise<void> {
  const [known] = await tx
    .select({ id: riders.id })
    .from(riders)
    .where(and(eq(riders.tripId, tripId), eq(riders.id, rider)))
  if (!known) throw new Refusal([`rider: "${rider}" is nobody of the crew; choose one of its riders.`])
  const [trip] = await tx
    .select({ ownerId: trips.ownerId, rider: trips.ownerRider })
    .from(trips)
    .where(eq(trips.id, tripId))
  const taken = await tx
    .select({ userId: members.userId })
    .from(members)
    .where(and(eq(members.tripId, tripId), eq(members.rider, rider)))
  const holders = [...taken.map(({ userId }) => userId), ...(trip?.rider === rider ? [trip.ownerId] : [])]
  if (holders.some((id) => id !== personId))
    throw new Refusal(['rider: somebody else who shares this plan is that rider already.'])
}
