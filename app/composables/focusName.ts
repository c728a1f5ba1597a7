import { nextTick } from 'vue'

/** Gives the keyboard to the name of something new, all of it selected, so that what is typed takes its place. */
export async function focusName(fieldId: string): Promise<void> {
  await nextTick()
  const field = document.getElementById(fieldId)
  if (!(field instanceof HTMLInputElement)) return
  field.scrollIntoView({ block: 'center' })
  field.focus({ preventScroll: true })
  field.select()
}
