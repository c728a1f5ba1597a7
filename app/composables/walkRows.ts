/** Walks with the arrow keys along the rows of a list: those that match, from the one that has the keyboard. */
export function walkRows(event: KeyboardEvent, rowSelector: string): void {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  if (step === 0) return
  const rows = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>(rowSelector)]
  const at = rows.indexOf(document.activeElement as HTMLElement)
  if (at < 0) return
  event.preventDefault()
  rows[Math.min(Math.max(at + step, 0), rows.length - 1)]?.focus()
}
