import { createGlobalState } from '@vueuse/core'
import { ref } from 'vue'

/** What went wrong in the page itself, by no fault of the rider; empty while nothing did. */
export const usePageFailure = createGlobalState(() => ref(''))
