/** Where a request says it comes from, and where it was sent to. */
export interface Sender {
  /** `Sec-Fetch-Site`: every browser of these years sends it (Fetch Metadata Request Headers, W3C). */
  readonly site: string | undefined
  readonly origin: string | undefined
  readonly host: string | undefined
}

/**
 * Whether a request that changes something comes from the app's own pages. What is no browser says neither site nor
 * origin, and has nobody's cookies but those it was given.
 *
 * @param ownOrigin where the app is reached, such as "https://tin.example", from the setting `NUXT_ORIGIN`; where it is
 *   empty, the host that the request was sent to, by whichever scheme: behind a proxy the server does not know it
 */
export function comesFromHere({ site, origin, host }: Sender, ownOrigin: string): boolean {
  if (site !== undefined && site !== 'same-origin') return false
  if (origin === undefined) return true
  if (ownOrigin !== '') return origin === ownOrigin
  return URL.canParse(origin) && host !== undefined && new URL(origin).host === host
}
