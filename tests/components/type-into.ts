import type { DOMWrapper } from '@vue/test-utils'

/** Types into a field, which is not left yet: `setValue` would leave it, too. */
export async function typeInto(
  field: Pick<DOMWrapper<HTMLInputElement>, 'element' | 'trigger'>,
  text: string,
): Promise<void> {
  field.element.value = text
  await field.trigger('input')
}
