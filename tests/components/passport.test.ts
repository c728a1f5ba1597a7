import { demoTrip } from '#catalogue/demo'
import { nth } from '#core/validation'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import PassportField from '../../app/components/bikes/PassportField.vue'
import type { PassportLine } from '../../app/components/bikes/passport-lines'
import { openTrip } from './open-trip'
import { typeInto } from './type-into'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))
vi.mock('comlink', () => ({ proxy: vi.fn(), wrap: vi.fn() }))

const trip = demoTrip()
const bike = nth(trip.bikes, 0)
let store: Awaited<ReturnType<typeof openTrip>>['store']
beforeEach(async () => {
  ;({ store } = await openTrip(trip))
})
const field = (line: PassportLine) => mount(PassportField, { props: { bike, line } })
const bikeNow = () => nth(store.openTrip.bikes, 0)
async function type(line: PassportLine, text: string) {
  const wrapper = field(line)
  await typeInto(wrapper.get('input'), text)
  await wrapper.get('input').trigger('change')
  return wrapper
}

describe('a line of a passport', () => {
  const tyre: PassportLine = { kind: 'tyre', label: 'Tyre', path: ['tyres', 'front', 'size'] }
  const teeth: PassportLine = { kind: 'teeth', label: 'Sprockets', path: ['sprockets'] }
  it('takes a tyre as it is marked', async () => {
    await type(tyre, ' 29 × 2.25 ')
    expect(bikeNow().tyres.front.size).toBe('29 × 2.25')
    expect(bikeNow().tyres.rear.size).toBe(bike.tyres.rear.size)
  })
  it('refuses a tyre that is none, and keeps the one there is', async () => {
    const wrapper = await type(tyre, '28 inch')
    expect(wrapper.get('[role=alert]').text()).toContain('28 inch')
    expect(bikeNow().tyres.front.size).toBe(bike.tyres.front.size)
    await wrapper.get('input').trigger('keydown', { key: 'Escape' })
    expect(wrapper.get('input').element.value).toBe(bike.tyres.front.size)
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })
  it('takes teeth in any order and sorts them, and refuses what is no tooth', async () => {
    await type(teeth, '42 11;15, 13')
    expect(bikeNow().sprockets).toEqual([11, 13, 15, 42])
    const wrapper = await type(teeth, '11, big')
    expect(wrapper.get('[role=alert]').text()).toContain('“11, big” is no list of teeth')
    expect(bikeNow().sprockets).toEqual([11, 13, 15, 42])
    const few = await type(teeth, '5, 11')
    expect(few.get('[role=alert]').text()).toContain('at least 6')
  })
  it('takes a mark in small letters', async () => {
    await type({ kind: 'mark', label: 'Hanger', path: ['hanger'] }, ' K9 ')
    expect(bikeNow().hanger).toBe('k9')
  })
  it('takes a choice, and the fasteners follow it', async () => {
    const line: PassportLine = {
      kind: 'choice',
      label: 'Brakes',
      path: ['brakes'],
      options: { rim: 'rim', 'cable-disc': 'cable discs', 'hydraulic-disc': 'hydraulic discs' },
    }
    expect(bike.brakes).not.toBe('rim')
    const wrapper = field(line)
    expect(wrapper.get('select').element.value).toBe(bike.brakes)
    await wrapper.get('select').setValue('rim')
    expect(bikeNow().brakes).toBe('rim')
    expect(bikeNow().fasteners.map(({ part }) => part)).not.toContain('front rotor')
  })
  it('takes yes and no, and an amount', async () => {
    const wrapper = field({ kind: 'yes', label: 'Mudguards', path: ['mudguards'] })
    await wrapper.get('input').setValue(!bike.mudguards)
    expect(bikeNow().mudguards).toBe(!bike.mudguards)
    await type({ kind: 'amount', label: 'Pads left', path: ['padLeft'], amount: 'share', least: 0, most: 1 }, '35 %')
    expect(bikeNow().padLeft).toBeCloseTo(0.35, 9)
  })
})
