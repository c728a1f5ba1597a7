import type { Revisions, Trip } from '#core/trip'
import type { Conflict } from './conflicts'

/** How it stands with what a trip's session has to bring to the server. */
export type SavingState =
  | { readonly kind: 'clean' }
  | { readonly kind: 'dirty' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'offline'; readonly lines: readonly string[] }
  | { readonly kind: 'refused'; readonly lines: readonly string[] }
  | {
      readonly kind: 'conflict'
      readonly conflicts: readonly Conflict[]
      readonly there: { readonly trip: Trip; readonly revisions: Revisions }
    }
  | { readonly kind: 'signed out' }
  | { readonly kind: 'gone' }

/** What the windows of one person on one device tell each other. */
export type Message =
  /** What is kept of a trip has changed: look again. */
  | { readonly kind: 'changed'; readonly trip: string }
  /** Whoever brings things to the server: do it now for this trip; again, where it was refused as it is. */
  | { readonly kind: 'deliver'; readonly trip: string; readonly again: boolean }
  | { readonly kind: 'state'; readonly trip: string; readonly state: SavingState }
  /** A new window asks how things stand. */
  | { readonly kind: 'how is it'; readonly trip: string }
  /** The person has signed out: nothing is kept any more. */
  | { readonly kind: 'signed out' }
  /** The person is known to the server again. */
  | { readonly kind: 'signed in' }

/** The other windows of the same person on this device. */
export interface Windows {
  tell(message: Message): void
  /** @returns stops listening */
  listen(hear: (message: Message) => void): () => void
  /** Calls back once when this window is the one that brings things to the server; until the signal ends it. */
  own(owned: () => void, until: AbortSignal): void
  close(): void
}

/** A window that shares nothing with others: it brings its own things to the server. */
export const loneWindow: Windows = {
  tell: () => undefined,
  listen: () => () => undefined,
  own: (owned) => queueMicrotask(owned),
  close: () => undefined,
}

/** The windows of this browser: a channel between them, and a lock that the owner holds until its window dies. */
export class BrowserWindows implements Windows {
  private readonly channel: BroadcastChannel
  constructor(private readonly person: string) {
    this.channel = new BroadcastChannel(`rag-tin ${person}`)
  }

  tell(message: Message): void {
    this.channel.postMessage(message)
  }

  listen(hear: (message: Message) => void): () => void {
    const onMessage = ({ data }: MessageEvent<Message>) => hear(data)
    this.channel.addEventListener('message', onMessage)
    return () => this.channel.removeEventListener('message', onMessage)
  }

  own(owned: () => void, until: AbortSignal): void {
    const held = new Promise<void>((release) => until.addEventListener('abort', () => release()))
    const hold = () => {
      owned()
      return held
    }
    // Refused only when the signal ends the wait for it.
    navigator.locks.request(`rag-tin outbox ${this.person}`, { signal: until }, hold).catch(() => undefined)
  }

  close(): void {
    this.channel.close()
  }
}
