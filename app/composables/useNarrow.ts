import { useMediaQuery } from '@vueuse/core'

/** Whether the window is as narrow as a telephone. */
export const useNarrow = () => useMediaQuery('(max-width: 47.99rem)')
