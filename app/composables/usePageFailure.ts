import { createGlobalState } from '@vueuse/core'

/** What went wrong in the page itself, by no fault of the rider; empty while nothing did. */
export const usePageFailure = createGlobalState(() => ref(''))
