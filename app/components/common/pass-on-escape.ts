/** The parts of a date keep every key to themselves. Escape is for what the field stands in, such as a dialog. */
export function passOnEscape(event: KeyboardEvent): void {
  event.stopPropagation()
  const around = event.currentTarget instanceof Element ? event.currentTarget.parentElement : null
  around?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true }))
}
