import { computed } from 'vue'
import { useView } from '../stores/view'

/** The colours of the bench as they are in this light, for what is drawn on a canvas. */
export function useColours<Name extends string>(...names: readonly Name[]) {
  const { scheme } = useView()
  const coloursIn = (_scheme: 'day' | 'night') => {
    const style = getComputedStyle(document.documentElement)
    return Object.fromEntries(names.map((name) => [name, style.getPropertyValue(`--${name}`).trim()])) as Record<
      Name,
      string
    >
  }
  return computed(() => coloursIn(scheme.value))
}
