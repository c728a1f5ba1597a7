import type { Planning, PlanningChange } from '#core/reference'
import { createGlobalState } from '@vueuse/core'
import { shallowRef } from 'vue'
import { api } from '../http/api'
import { usePerson } from './person'

/** Planning values that the person who is signed in knows better in all their trips. */
export const useOwnPlanning = createGlobalState(() => {
  /** None while it is not known, without an account, and for the demo rider, whose trips are everybody's. */
  const planning = shallowRef<Planning | null>(null)

  async function load(): Promise<void> {
    planning.value = null
    if (usePerson().isGuest.value) return
    const account = await api<{ planning: Planning; isShared: boolean }>('/api/account')
    planning.value = account.isShared ? null : account.planning
  }

  /**
   * Changes them, in all trips but the one that is open: that is changed by an edit, which can be taken back.
   *
   * @returns how many other trips were changed
   */
  async function change(changes: Partial<PlanningChange>, besides: string): Promise<number> {
    const answer = await api<{ planning: Planning; trips: number }>('/api/account/planning', {
      method: 'PUT',
      body: { ...changes, besides },
    })
    planning.value = answer.planning
    return answer.trips
  }

  return { planning, load, change }
})
