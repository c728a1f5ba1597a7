import { demoTrip } from '#catalogue/demo'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import SavingLines from '../../app/components/frame/SavingLines.vue'
import { rest, type Mood } from '../fake-world'
import { openTrip } from './open-trip'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))
vi.mock('comlink', () => ({ proxy: vi.fn(), wrap: vi.fn() }))

/** A trip that was changed while the server was in some mood, and what stands over the page. */
async function changed(mood: Mood) {
  const { store, server, timers } = await openTrip(demoTrip())
  const wrapper = mount(SavingLines)
  server.mood = mood
  store.edit('rename', { name: 'Elsewhere' })
  await timers.pass(5000)
  await flushPromises()
  const press = async (name: string) => {
    await wrapper
      .findAll('button')
      .find((each) => each.text() === name)
      ?.trigger('click')
    await rest()
    await timers.pass(5000)
    await flushPromises()
  }
  return { store, server, wrapper, press, buttons: () => wrapper.findAll('button').map((each) => each.text()) }
}
const nameThere = ({ server }: Awaited<ReturnType<typeof changed>>) => server.trips.get('t')?.trip.name

describe('what stands between a trip and the server', () => {
  it('is nothing while all goes well', async () => {
    const all = await changed('well')
    expect(all.wrapper.text()).toBe('')
    expect(nameThere(all)).toBe('Elsewhere')
  })
  it('is said where the server does not answer, and is tried again when asked', async () => {
    const away = await changed('unreachable')
    expect(away.wrapper.text()).toContain('The server does not answer. Your changes are kept on this device')
    expect(away.buttons()).toEqual(['Try now'])
    away.server.mood = 'well'
    await away.press('Try now')
    expect(away.wrapper.text()).toBe('')
    expect(nameThere(away)).toBe('Elsewhere')
  })
  it('is said where a sign-in has ended, with the way back to this page', async () => {
    const { wrapper, buttons, store } = await changed('signed out')
    expect(wrapper.text()).toContain('Your sign-in has ended.')
    expect(wrapper.get('a').attributes('href')).toBe('/?next=/trips/t/weigh')
    expect(buttons()).toEqual([])
    expect(store.openTrip.name).toBe('Elsewhere')
  })
  it('is said line by line where the server refuses a change, which can be given up', async () => {
    const refused = await changed('refuses')
    expect(refused.wrapper.text()).toContain('Not saved: the server refuses this as it is.')
    expect(refused.wrapper.text()).toContain('not as it is')
    expect(refused.buttons()).toEqual(['Go back to what is saved', 'Try again'])
    refused.server.mood = 'well'
    await refused.press('Go back to what is saved')
    expect(refused.store.openTrip.name).toBe(demoTrip().name)
    expect(refused.wrapper.text()).not.toContain('Not saved')
  })
})
