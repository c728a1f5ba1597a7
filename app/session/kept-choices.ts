/**
 * Under these names the browser keeps which tools somebody compares for each trip, which kits, which bolts of others, who of the
 * crew is elsewhere, and the card of who they are.
 */
export const toolsKeptAs = 'rag-tin.candidates'
export const kitsKeptAs = 'rag-tin.kits'
export const strangersKeptAs = 'rag-tin.strangers'
export const awayKeptAs = 'rag-tin.away'
export const identityKeptAs = 'rag-tin.identity'

export function forgetKeptChoices(): void {
  for (const name of [toolsKeptAs, kitsKeptAs, strangersKeptAs, awayKeptAs, identityKeptAs])
    localStorage.removeItem(name)
}
