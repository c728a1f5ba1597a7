import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import HeadList from '../../app/components/bench/HeadList.vue'
import MeasureField from '../../app/components/common/MeasureField.vue'
import TypedField from '../../app/components/common/TypedField.vue'
import StartField from '../../app/components/road/StartField.vue'
import { defined } from '#core/validation'
import { nextTick } from 'vue'
import { useView } from '../../app/stores/view'
import { aHead } from '../fixtures'
import { typeInto } from './type-into'

beforeEach(() => {
  useView().system.value = 'metric'
})
afterEach(() => {
  vi.useRealTimers()
})

describe('an amount', () => {
  const field = (props: object = {}) =>
    mount(MeasureField, { props: { label: 'Mass', modelValue: 500, amount: 'mass', least: 1, most: 1000, ...props } })
  const type = async (wrapper: ReturnType<typeof field>, text: string) => {
    await typeInto(wrapper.get('input'), text)
    await wrapper.get('input').trigger('change')
  }
  it('is shown in the units of whoever looks, and handed on in grams', async () => {
    const wrapper = field()
    expect(wrapper.get('input').element.value).toBe('500')
    useView().system.value = 'imperial'
    await wrapper.vm.$nextTick()
    expect(wrapper.get('input').element.value).toBe('17.6')
    await type(wrapper, '2')
    expect(wrapper.emitted('update:modelValue')?.[0]?.[0]).toBeCloseTo(56.699, 3)
  })
  it('may be typed in any unit, and by Enter', async () => {
    const wrapper = field()
    await typeInto(wrapper.get('input'), '0.2 kg')
    await wrapper.get('input').trigger('keydown', { key: 'Enter' })
    expect(wrapper.emitted('update:modelValue')).toEqual([[200]])
  })
  it.each([
    ['heavy', '“heavy” is not a number; try “12 g”'],
    ['3 km', '“km” is not a unit of mass; use g, kg, oz, lb, lbs'],
    ['0', 'Mass must be at least 1 g'],
    ['2 kg', 'Mass must be at most 1000 g'],
    ['', '“” is not a number; try “12 g”'],
  ])('“%s” is refused where it is typed, and nothing is handed on', async (text, why) => {
    const wrapper = field()
    await type(wrapper, text)
    expect(wrapper.get('[role=alert]').text()).toBe(why)
    expect(wrapper.get('input').attributes('aria-invalid')).toBe('true')
    expect(wrapper.emitted('update:modelValue')).toBeUndefined()
    await type(wrapper, '500')
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })
  it('may be none where that means something', async () => {
    const wrapper = field({ allowNone: true })
    await type(wrapper, ' ')
    expect(wrapper.emitted('update:modelValue')).toEqual([[null]])
    await wrapper.setProps({ modelValue: null })
    expect(wrapper.get('input').element.value).toBe('')
  })
  it('is taken back by Escape, which only then reaches what the field stands in', async () => {
    const keys = vi.fn()
    const wrapper = mount({
      components: { MeasureField },
      template: '<div @keydown="keys"><MeasureField label="Mass" :model-value="5" amount="mass" /></div>',
      setup: () => ({ keys }),
    })
    await typeInto(wrapper.get('input'), 'x')
    await wrapper.get('input').trigger('keydown', { key: 'Escape' })
    expect(wrapper.get('input').element.value).toBe('5')
    expect(keys).not.toHaveBeenCalled()
    await wrapper.get('input').trigger('keydown', { key: 'Escape' })
    expect(keys).toHaveBeenCalledOnce()
  })
})

describe('a line of text', () => {
  it('is taken when it is left, and what is being typed outlives what is drawn anew around it', async () => {
    const wrapper = mount(TypedField, { props: { modelValue: 'before' } })
    await typeInto(wrapper.get('input'), 'being typed')
    await wrapper.setProps({ modelValue: 'changed elsewhere' })
    expect(wrapper.get('input').element.value).toBe('being typed')
    await wrapper.get('input').trigger('change')
    expect(wrapper.emitted('update:modelValue')).toEqual([['being typed']])
  })
  it('that was not changed is nothing new', async () => {
    const wrapper = mount(TypedField, { props: { modelValue: 'same' } })
    await wrapper.get('input').trigger('change')
    expect(wrapper.emitted('update:modelValue')).toBeUndefined()
  })
})

describe('the start of a ride', () => {
  const start = (modelValue: string | null = '2026-06-12T08:00') =>
    mount(StartField, { props: { modelValue }, attachTo: document.body })
  type Mounted = ReturnType<typeof start>
  const parts = (wrapper: Mounted) => wrapper.findAll<HTMLElement>('[role=spinbutton]')
  /** Types into the parts from the first on; the field goes from one to the next by itself. */
  async function type(wrapper: Mounted, keys: string[]) {
    defined(parts(wrapper)[0]).element.focus()
    for (const key of keys) {
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, code: `Digit${key}`, bubbles: true }))
      await nextTick()
    }
  }
  const leave = (wrapper: Mounted) => defined(parts(wrapper)[0]).trigger('focusout', { relatedTarget: document.body })
  const shown = (wrapper: Mounted) => wrapper.get('[role=group]').text()
  const given = (wrapper: Mounted) => wrapper.emitted<[string | null]>('update:modelValue')?.map(([value]) => value)

  it('stands there day before month, by a clock of 24 hours', () => {
    expect(shown(start('2026-06-12T20:05'))).toBe('12/06/2026, 20:05')
  })
  it('is handed on once it is a date that may be meant, to the minute', async () => {
    const wrapper = start()
    await type(wrapper, Array.from('12072027'))
    await leave(wrapper)
    expect(given(wrapper)).toEqual(['2027-07-12T08:00'])
  })
  it('is handed on by itself where one stays with it, and follows what is changed elsewhere', async () => {
    vi.useFakeTimers()
    const wrapper = start('2027-06-13T08:00')
    // Vue passes by listeners that are no older than the event, and the clock stands still here.
    vi.advanceTimersByTime(1)
    await type(wrapper, ['1', '4'])
    expect(given(wrapper)).toBeUndefined()
    vi.advanceTimersByTime(600)
    expect(given(wrapper)).toEqual(['2027-06-14T08:00'])
    await wrapper.setProps({ modelValue: '2027-06-14T08:00' })
    await wrapper.setProps({ modelValue: '2027-06-15T08:00' })
    expect(shown(wrapper)).toBe('15/06/2027, 08:00')
  })
  it('says when it is left what was wrong with it, and is as it was', async () => {
    const wrapper = start()
    await type(wrapper, Array.from('12060202'))
    await leave(wrapper)
    expect(wrapper.get('[role=alert]').text()).toBe('The year must be 1900 to 2199. It is as it was.')
    expect(shown(wrapper)).toBe('12/06/2026, 08:00')
    await type(wrapper, ['Backspace', 'Backspace'])
    await leave(wrapper)
    expect(wrapper.get('[role=alert]').text()).toBe('Give the whole date and the time. It is as it was.')
    await wrapper.setProps({ modelValue: '2026-06-13T08:00' })
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })
  it('is taken away with a press', async () => {
    const wrapper = start()
    await wrapper.get('[aria-label="The ride begins: no date"]').trigger('click')
    expect(given(wrapper)).toEqual([null])
  })
})

describe('the ends of a tool', () => {
  const list = () => mount(HeadList, { props: { heads: [aHead({ profile: 'hex', size: 5 })] } })
  const given = (wrapper: ReturnType<typeof list>) =>
    (wrapper.emitted('change')?.at(-1)?.[0] as { profile: string; size?: number; leverMm: number }[] | undefined)?.map(
      ({ profile, size, leverMm }) => [profile, size, leverMm],
    )
  it('are typed by their short names', async () => {
    const wrapper = list()
    await typeInto(wrapper.get('[aria-label="Ends to add"]'), 'T25 ring 15')
    await wrapper.get('[aria-label="Ends to add"]').trigger('keydown', { key: 'Enter' })
    expect(given(wrapper)).toEqual([
      ['hex', 5, 80],
      ['hexalobular', 25, 80],
      ['ring', 15, 80],
    ])
  })
  it('that are none are refused, and stay to be mended', async () => {
    const wrapper = list()
    await typeInto(wrapper.get('[aria-label="Ends to add"]'), 'banana')
    await wrapper.get('button.button:not(.button-bare)').trigger('click')
    expect(wrapper.get('[role=alert]').text()).toContain('“banana”')
    expect((wrapper.get('[aria-label="Ends to add"]').element as HTMLInputElement).value).toBe('banana')
    expect(wrapper.emitted('change')).toBeUndefined()
  })
  it('without a size are picked, and each can be taken off or given another lever', async () => {
    const wrapper = list()
    await wrapper.get('select').setValue('chain breaker')
    expect(given(wrapper)?.[1]).toEqual(['chain-pin', undefined, 35])
    const lever = wrapper.get<HTMLInputElement>('li input')
    await typeInto(lever, '120')
    await lever.trigger('change')
    expect(given(wrapper)).toEqual([['hex', 5, 120]])
    await wrapper.get('[aria-label="It has no hex 5"]').trigger('click')
    expect(given(wrapper)).toEqual([])
  })
})
