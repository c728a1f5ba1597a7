/** Under these names the browser keeps, for each trip, which tools somebody compares, and which kits. */
export const toolsKeptAs = 'rag-tin.candidates'
export const kitsKeptAs = 'rag-tin.kits'

export function forgetKeptChoices(): void {
  for (const name of [toolsKeptAs, kitsKeptAs]) localStorage.removeItem(name)
}
