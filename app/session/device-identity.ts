import { identitySchema, type Identity } from '#core/identity'
import { identityKeptAs } from './kept-choices'

/** The card of whoever's device this is, as it was kept here for the road; nothing where it was not. */
export function keptIdentity(): Identity | undefined {
  const text = localStorage.getItem(identityKeptAs)
  if (text === null) return undefined
  const read = identitySchema.safeParse(parsed(text))
  return read.success ? read.data : undefined
}

/** Keeps it on this device; it goes with signing out. @param identity nothing where it shall not be kept any more */
export function keepIdentity(identity: Identity | undefined): void {
  if (identity) localStorage.setItem(identityKeptAs, JSON.stringify(identity))
  else localStorage.removeItem(identityKeptAs)
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
