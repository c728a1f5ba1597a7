import { leavesTooSoon, type Rider } from '#core/crew'
import type { Stop } from '#core/supply'

/**
 * Where a rider joins the others and leaves them: "joins at Ferrow, leaves at Quillby"; nothing where they are there all the
 * way, as one is who would leave before joining.
 */
export function alongInWords(rider: Pick<Rider, 'joins' | 'leaves'>, stops: readonly Stop[]): string {
  if (leavesTooSoon(rider, stops)) return ''
  const nameOf = (id: string | null) => stops.find((stop) => stop.id === id)?.name
  const [from, to] = [nameOf(rider.joins), nameOf(rider.leaves)]
  return [from && `joins at ${from}`, to && `leaves at ${to}`].filter((words) => words).join(', ')
}
