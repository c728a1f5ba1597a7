import { useMediaQuery } from '@vueuse/core'

/** Whether the window is low, as a page at great zoom is: what is not asked for folds. */
export const useLow = () => useMediaQuery('(max-height: 33.99rem)')
