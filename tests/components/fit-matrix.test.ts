import { demoTrip } from '#catalogue/demo'
import { catalogue } from '#catalogue'
import { fitView } from '#core/fit'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import FitMatrix from '../../app/components/bikes/FitMatrix.vue'
import { useKitStore } from '../../app/stores/kit'
import { useSelection } from '../../app/stores/selection'
import { openTrip } from './open-trip'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))
vi.mock('comlink', () => ({ proxy: vi.fn(), wrap: vi.fn() }))

const trip = demoTrip()
beforeEach(async () => {
  await openTrip(trip)
  const fit = fitView(trip.bikes, trip.bench, catalogue.items, trip.dials.handMostN)
  useKitStore().analysis = { fit } as unknown as ReturnType<typeof useKitStore>['analysis']
})

describe('the matrix of tools and fasteners', () => {
  const walk = async (wrapper: ReturnType<typeof mount>, ...keys: string[]) => {
    for (const key of keys) await wrapper.get('[role=application]').trigger('keydown', { key })
  }
  const told = (wrapper: ReturnType<typeof mount>) => wrapper.get('[role=status]').text()
  it('is walked along the fasteners, and stops at its ends', async () => {
    const wrapper = mount(FitMatrix)
    expect(told(wrapper)).toContain('Point at a mark')
    await walk(wrapper, 'ArrowRight')
    const first = told(wrapper)
    expect(useSelection().fastenerId).not.toBe('')
    await walk(wrapper, 'ArrowRight')
    expect(told(wrapper)).not.toBe(first)
    await walk(wrapper, 'ArrowLeft', 'ArrowLeft', 'ArrowLeft')
    expect(told(wrapper)).toBe(first)
    for (let i = 0; i < 80; i++) await walk(wrapper, 'ArrowRight')
    const last = told(wrapper)
    await walk(wrapper, 'ArrowRight')
    expect(told(wrapper)).toBe(last)
  })
  it('is walked down the tools, each told of on the fastener one stands at', async () => {
    const wrapper = mount(FitMatrix)
    await walk(wrapper, 'ArrowRight', 'ArrowDown')
    const first = told(wrapper)
    const tools = trip.bench.filter(({ heads }) => heads.length > 0).map(({ name }) => name)
    const named = () => tools.filter((name) => told(wrapper).includes(`: ${name}, `))
    expect(named()).toHaveLength(1)
    await walk(wrapper, 'ArrowDown')
    expect(named()).toHaveLength(1)
    expect(told(wrapper)).not.toBe(first)
    await walk(wrapper, 'ArrowUp', 'ArrowUp', 'ArrowUp')
    expect(told(wrapper)).toBe(first)
    await walk(wrapper, 'Escape')
    expect(named()).toEqual([])
  })
  it('counts in each column how many fasteners of each bike are in it: all of them', () => {
    const wrapper = mount(FitMatrix)
    const counts = wrapper
      .findAll('text.figures')
      .map((each) => Number(each.text()))
      .filter((count) => !Number.isNaN(count))
    const all = trip.bikes.reduce((sum, bike) => sum + bike.fasteners.length, 0)
    expect(counts.reduce((sum, count) => sum + count, 0)).toBeLessThanOrEqual(all)
    expect(counts.reduce((sum, count) => sum + count, 0)).toBeGreaterThan(all / 2)
  })
})
