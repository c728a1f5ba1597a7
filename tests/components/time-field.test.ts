import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import TimeField from '../../app/components/common/TimeField.vue'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

it('a time that is typed part by part counts with Enter, or where one stays with it', async () => {
  const field = mount(TimeField, { props: { label: 'Opens', modelValue: '08:30' }, attachTo: document.body })
  const hour = field.find('[role=spinbutton]')
  const given = () => field.emitted('update:modelValue')?.map(([value]) => value as string) ?? []
  await hour.trigger('focus')
  await hour.trigger('keydown', { key: 'ArrowUp', code: 'ArrowUp' })
  await nextTick()
  expect(given()).toEqual([])
  await hour.trigger('keydown', { key: 'Enter', code: 'Enter' })
  expect(given()).toEqual(['09:30'])
  await hour.trigger('keydown', { key: 'ArrowUp', code: 'ArrowUp' })
  await vi.advanceTimersByTimeAsync(600)
  expect(given()).toEqual(['09:30', '10:30'])
  field.unmount()
})
