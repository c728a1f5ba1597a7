/** Under these names the browser keeps which tools somebody compares for each trip, which kits, and which bolts of others. */
export const toolsKeptAs = 'rag-tin.candidates'
export const kitsKeptAs = 'rag-tin.kits'
export const strangersKeptAs = 'rag-tin.strangers'

export function forgetKeptChoices(): void {
  for (const name of [toolsKeptAs, kitsKeptAs, strangersKeptAs]) localStorage.removeItem(name)
}
