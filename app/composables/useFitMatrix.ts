import { driveInWords, type Bike, type Fastener } from '~~/core/bike'
import type { FastenerView, WayView } from '~~/core/fit'

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
  const store = useTripStore()
  const kit = useKitStore()
  const { fitOf } = useFits()

  const fitted = computed<Fitted[]>(() =>
    store
      .trip!.bikes.flatMap((bike) =>
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
    const things = kit.reckoning?.fit.things ?? []
    const byPattern = new Map<string, { key: string; drive: string; members: Fitted[] }>()
    for (const one of fitted.value) {
      const drive = driveInWords(one.fastener.drive)
      const pattern = [drive, one.fit.coverage, ...things.map((thing) => markOf(one.fit.ways[thing]))].join(' ')
      const column = byPattern.get(pattern)
      if (column) column.members.push(one)
      else byPattern.set(pattern, { key: `${one.bike.id}/${one.fastener.id}`, drive, members: [one] })
    }
    return [...byPattern.values()] as FitColumn[]
  })
  /** The tools, that which turns most first. */
  const things = computed(() => {
    const turned = (thing: string) =>
      fitted.value.filter(({ fit }) => ['turns', 'awkward'].includes(fit.ways[thing]?.verdict ?? '')).length
    return [...(kit.reckoning?.fit.things ?? [])]
      .map((id) => ({ id, turned: turned(id) }))
      .sort((a, b) => b.turned - a.turned)
  })
  return { fitted, columns, things, markOf }
}
