import type { z } from 'zod'
import { faultLines } from '#core/trip'
import { checkAgainst } from '#core/validation'
import { nextTick, ref, toRaw, type Ref } from 'vue'

/**
 * A copy of something with a name, to be changed in a form and checked against its schema when it is kept.
 *
 * @param initial what it starts from, which stays as it is
 */
export function useDraft<T extends { name: string }>(schema: z.ZodType<T>, initial: T) {
  const draft = ref(structuredClone(toRaw(initial))) as Ref<T>
  /** What is wrong with it, a line for each thing. */
  const lines = ref<string[]>([])

  /**
   * Hands the draft over when the form is submitted, if every field and the whole are in order.
   *
   * @param put takes it, and says in lines what it cannot take
   * @returns whether it was taken
   */
  async function keep(submit: Event, put: (value: T) => string[]): Promise<boolean> {
    if (!(await areFieldsInOrder(submit.currentTarget as HTMLFormElement))) return false
    const name = draft.value.name.trim()
    if (name === '') lines.value = ['Give it a name.']
    else lines.value = attempt(() => put(checkAgainst(schema, { ...draft.value, name })))
    return lines.value.length === 0
  }
  /** Makes a change that may make no sense; what is wrong with it stands in `lines`. */
  function change(make: () => void): void {
    lines.value = attempt(() => {
      make()
      return []
    })
  }
  return { draft, lines, keep, change }
}

function attempt(work: () => string[]): string[] {
  try {
    return work()
  } catch (error) {
    return faultLines(error) ?? [String(error)]
  }
}

/**
 * Whether no field of a form has refused what was typed; the first that did gets the focus, so that its reason is read
 * and nothing else is kept in its place.
 */
async function areFieldsInOrder(form: HTMLFormElement): Promise<boolean> {
  // The field typed in last is judged by the very key or click that submits.
  await nextTick()
  const refused = form.querySelector<HTMLElement>('[aria-invalid=true]')
  refused?.focus()
  return refused === null
}
