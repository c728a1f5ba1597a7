import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { and, asc, eq, gt, isNull, lt } from 'drizzle-orm'
import { invitationDays } from '#core/access'
import { lockTrip, mustOwn } from '../db/access'
import type { Connection, Database } from '../db/connection'
import { invitations, members, riders, trips, users } from '../db/schema'
import { allOrNothing } from '../db/transaction'
import { Refusal } from '../refusal'
import type { MemberRole } from './schema'

/** So many links of one trip are good at a time, and so many people share one. */
const mostInvitations = 40
const mostPeople = 40

/** A link that somebody may still follow. What stands in it is told once, to who made it. */
export interface Invitation {
  readonly id: string
  readonly role: MemberRole
  readonly rider: string | null
  readonly createdAt: Date
}

const oldest = () => new Date(Date.now() - invitationDays * 24 * 3600_000)
/** Whoever reads the table cannot make a link of it. */
const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/** Links of a trip that are still good, the oldest first. */
export function openInvitations(db: Connection, tripId: string): Promise<Invitation[]> {
  return db
    .select({
      id: invitations.id,
      role: invitations.role,
      rider: invitations.rider,
      createdAt: invitations.createdAt,
    })
    .from(invitations)
    .where(and(eq(invitations.tripId, tripId), gt(invitations.createdAt, oldest())))
    .orderBy(asc(invitations.createdAt), asc(invitations.id))
}

/**
 * Makes a link. One for a rider is used once; one for readers is good for whoever has it, until it is revoked.
 *
 * @returns what is to stand in the link, and nowhere else
 * @throws NoSuchTrip, NotAllowed, or Refusal where there are too many, or no such rider
 */
export async function invite(
  db: Database,
  ownerId: string,
  tripId: string,
  { role, rider }: { readonly role: MemberRole; readonly rider: string | null },
): Promise<{ id: string; token: string }> {
  const [id, token] = [randomUUID(), randomBytes(32).toString('base64url')]
  await allOrNothing(db, async (tx) => {
    await mustOwn(tx, ownerId, tripId, 'Only the owner invites to a plan.')
    if (role === 'reader' && rider !== null)
      throw new Refusal(['rider: a reader is nobody of the crew; expected null.'])
    if (rider !== null && (await nameOfRider(tx, tripId, rider)) === undefined)
      throw new Refusal([`rider: "${rider}" is nobody of the crew; choose one of its riders.`])
    await tx.delete(invitations).where(and(eq(invitations.tripId, tripId), lt(invitations.createdAt, oldest())))
    if ((await openInvitations(tx, tripId)).length >= mostInvitations)
      throw new Refusal([`${mostInvitations} links of this plan are open; revoke some first.`])
    const createdAt = new Date()
    await tx.insert(invitations).values({ id, tripId, tokenHash: hashOf(token), role, rider, createdAt })
  })
  return { id, token }
}

/** A link is no longer good. @throws NoSuchTrip, NotAllowed */
export async function revoke(db: Database, ownerId: string, tripId: string, id: string): Promise<void> {
  await mustOwn(db, ownerId, tripId, 'Only the owner revokes a link.')
  await db.delete(invitations).where(and(eq(invitations.tripId, tripId), eq(invitations.id, id)))
}

/** What a link leads to, for somebody who has not followed it yet. */
export interface LookedAt {
  readonly trip: string
  readonly owner: string
  readonly role: MemberRole
  /** Who of the crew they will be; null where nobody has said so. */
  readonly rider: string | null
}

/** The link has been used, was revoked, or is too old. */
export class NoSuchInvitation extends Error {}

/** @throws NoSuchInvitation */
export async function lookAtInvitation(db: Database, token: string): Promise<LookedAt> {
  const found = await invitationOf(db, token)
  const rider = found.rider === null ? null : ((await nameOfRider(db, found.tripId, found.rider)) ?? null)
  return { trip: found.trip, owner: found.owner, role: found.role, rider }
}

/**
 * Somebody follows a link. Whoever may do as much already stays as they are, and the link goes on being good.
 *
 * @returns the trip's id
 * @throws NoSuchInvitation, or Refusal where too many share the trip
 */
export async function join(db: Database, userId: string, token: string): Promise<string> {
  return allOrNothing(db, async (tx) => {
    const { tripId } = await invitationOf(tx, token)
    await lockTrip(tx, tripId)
    // Of two who follow one link at the same time, the second finds it used.
    const { id, role, rider, ownerId } = await invitationOf(tx, token)
    if (ownerId === userId) return tripId
    const known = await tx.select().from(members).where(eq(members.tripId, tripId))
    const me = known.find((member) => member.userId === userId)
    if (me && (me.role === 'rider' || role === 'reader')) return tripId
    if (!me && known.length + 1 >= mostPeople)
      throw new Refusal([`${mostPeople} people share this plan already; its owner can take some off it.`])
    const change = { role, rider: known.some((member) => rider !== null && member.rider === rider) ? null : rider }
    await tx
      .insert(members)
      .values({ tripId, userId, ...change, joinedAt: new Date() })
      .onDuplicateKeyUpdate({ set: change })
    if (role === 'rider') await tx.delete(invitations).where(eq(invitations.id, id))
    return tripId
  })
}

async function invitationOf(db: Connection, token: string) {
  const [found] = await db
    .select({
      id: invitations.id,
      tripId: invitations.tripId,
      role: invitations.role,
      rider: invitations.rider,
      trip: trips.name,
      ownerId: trips.ownerId,
      owner: users.name,
    })
    .from(invitations)
    .innerJoin(trips, eq(trips.id, invitations.tripId))
    .innerJoin(users, eq(users.id, trips.ownerId))
    .where(and(eq(invitations.tokenHash, hashOf(token)), gt(invitations.createdAt, oldest()), isNull(trips.deletedAt)))
  if (!found) throw new NoSuchInvitation()
  return found
}

async function nameOfRider(db: Connection, tripId: string, rider: string): Promise<string | undefined> {
  const [found] = await db
    .select({ name: riders.name })
    .from(riders)
    .where(and(eq(riders.tripId, tripId), eq(riders.id, rider)))
  return found?.name
}
