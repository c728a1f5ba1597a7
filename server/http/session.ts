import { getUserSession, replaceUserSession } from '#auth/session'
import { useRuntimeConfig } from 'nitropack/runtime'
import { getHeader, useSession, type H3Event } from 'h3'
import type { Person } from '../accounts/people'
import { holderOf, openSession, type Holder } from '../accounts/sessions'
import { database } from './database'
import { httpError } from './http-error'

/** Signs somebody in on this device. */
export async function signIn(event: H3Event, { id }: Pick<Person, 'id'>): Promise<void> {
  await replaceUserSession(event, {
    user: { id },
    secure: { session: await openSession(database(), id) },
  })
}

/** Who is signed in on this device; undefined where nobody is, or where the session has been ended elsewhere. */
export async function signedIn(event: H3Event): Promise<Holder | undefined> {
  const { secure } = await getUserSession(event)
  return secure && (await holderOf(database(), secure.session))
}

/**
 * The signed-in person's id; 401 for anybody else, and for a page of somebody who was signed in before: what they still
 * have to save is not for the one who is now.
 */
export async function personOf(event: H3Event): Promise<string> {
  const refuse = (line: string) => httpError(401, 'Unauthorized', line)
  const user = await signedIn(event)
  if (!user) throw refuse('You are not signed in, or no longer.')
  const meant = getHeader(event, 'x-rag-tin-person')
  if (meant && meant !== user.id) throw refuse('Somebody else has signed in here since.')
  return user.id
}

interface KnownDevice {
  /** Names the device; nothing else is known of it. */
  device?: string
  /** The accounts that were signed in to from it. */
  accounts?: string[]
}

/** So many accounts of a device are remembered. */
const mostAccounts = 10

function deviceSession(event: H3Event) {
  const { session } = useRuntimeConfig(event)
  return useSession<KnownDevice>(event, {
    name: 'rag-tin-device',
    password: session.password,
    maxAge: 365 * 24 * 3600,
    cookie: { sameSite: 'lax', httpOnly: true, path: '/api/session' },
  })
}

/** The name of this device, if the account has been signed in to from it before. */
export async function knownDevice(event: H3Event, accountId: string | undefined): Promise<string | undefined> {
  const { data } = await deviceSession(event)
  return accountId !== undefined && data.accounts?.includes(accountId) ? data.device : undefined
}

/** Remembers that the account has been signed in to from this device. */
export async function rememberDevice(event: H3Event, accountId: string): Promise<void> {
  const session = await deviceSession(event)
  const others = (session.data.accounts ?? []).filter((id) => id !== accountId)
  await session.update({
    device: session.data.device ?? crypto.randomUUID(),
    accounts: [accountId, ...others].slice(0, mostAccounts),
  })
}
