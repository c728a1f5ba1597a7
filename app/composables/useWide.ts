import { useMediaQuery } from '@vueuse/core'

/** Whether there is room for the balance, and what is left to luck, beside the stage. */
export const useWide = () => useMediaQuery('(min-width: 64rem)')
