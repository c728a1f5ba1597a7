/**
 * Whether a form that is being submitted has no field that refused what was typed; the first that did gets the focus,
 * so that its reason is read and nothing else is kept in its place.
 */
export async function wellFilled(submit: Event): Promise<boolean> {
  const form = submit.currentTarget as HTMLFormElement
  // The field typed in last is judged by the very key or click that submits.
  await nextTick()
  const refused = form.querySelector<HTMLElement>('[aria-invalid=true]')
  refused?.focus()
  return refused === null
}
