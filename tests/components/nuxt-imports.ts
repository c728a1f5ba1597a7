import { vi } from 'vitest'

/** What the components ask of Nuxt, where there is none: a page of a trip that nobody leaves. */
export const navigateTo = vi.fn()
export const useRoute = () => ({ fullPath: '/trips/t/weigh' })
