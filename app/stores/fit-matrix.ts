import { defineStore, storeToRefs } from 'pinia'
import type { Bike, Fastener } from '#core/bike'
import type { FastenerView, WayView } from '#core/fit'
import { driveInWords } from '#wording'
import { computed } from 'vue'
import { useKitStore } from './kit'
import { useTripStore } from './trip'
import { useCoverage } from './coverage'

/** A fastener with its bike and how it fares. */
export interface Fitted {
  readonly bike: Bike
  readonly fastener: Fastener
  readonly fit: FastenerView
}

/** Fasteners that fare alike with every tool: one column of the matrix. */
export interface FitColumn {
  readonly key: string
  readonly drive: string
  readonly members: readonly Fitted[]
}

const order = [
  'hex',
  'hexalobular',
  'phillips',
  'pozidriv',
  'slot',
  'flats',
  'nipple',
  'spline',
  'valve-core',
  'chain-pin',
  'quick-link',
]
const sizeOf = ({ drive }: Fastener) => ('size' in drive && typeof drive.size === 'number' ? drive.size : 0)

/**
 * The matrix of tools and fasteners, drawn together: what takes the same drive and fares alike with each tool is one
 * column, so that two bikes with sixty fasteners are read at a glance.
 */
export function useFitMatrix() {
  const store = useFitMatrixStore()
  const { markOf } = store
  return { ...storeToRefs(store), markOf }
}

const useFitMatrixStore = defineStore('fit-matrix', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const { fitOf } = useCoverage()

  const fitted = computed<Fitted[]>(() =>
    store.openTrip.bikes
      .flatMap((bike) =>
        bike.fasteners.flatMap((fastener) => {
          const fit = fitOf(bike, fastener)
          return fit && fastener.drive.profile !== 'by-hand' ? [{ bike, fastener, fit }] : []
        }),
      )
      .sort(
        (a, b) =>
          order.indexOf(a.fastener.drive.profile) - order.indexOf(b.fastener.drive.profile) ||
          sizeOf(a.fastener) - sizeOf(b.fastener) ||
          driveInWords(a.fastener.drive).localeCompare(driveInWords(b.fastener.drive)),
      ),
  )
  /** What a tool does about a fastener, as far as the matrix shows it. */
  const markOf = (way: WayView | undefined) => {
    if (!way) return 'none'
    if (way.verdict !== 'cannot') return way.verdict
    return way.reason === 'wrong-profile' || way.reason === 'wrong-size' ? 'none' : 'near'
  }
  const columns = computed(() => {
    const things = kit.analysis?.fit.things ?? []
    const byPattern = new Map<string, { key: string; drive: string; members: Fitted[] }>()
    for (const entry of fitted.value) {
      const drive = driveInWords(entry.fastener.drive)
      const pattern = [drive, entry.fit.coverage, ...things.map((thing) => markOf(entry.fit.ways[thing]))].join(' ')
      const column = byPattern.get(pattern)
      if (column) column.members.push(entry)
      else byPattern.set(pattern, { key: `${entry.bike.id}/${entry.fastener.id}`, drive, members: [entry] })
    }
    return [...byPattern.values()] as FitColumn[]
  })
  /** The tools, that which turns most first. */
  const things = computed(() => {
    const turned = (thing: string) =>
      fitted.value.filter(({ fit }) => ['turns', 'awkward'].includes(fit.ways[thing]?.verdict ?? '')).length
    return [...(kit.analysis?.fit.things ?? [])]
      .map((id) => ({ id, turned: turned(id) }))
      .sort((a, b) => b.turned - a.turned)
  })
  return { fitted, columns, things, markOf }
})
