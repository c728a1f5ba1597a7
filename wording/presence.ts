import type { Rider } from '#core/crew'
import type { Stop } from '#core/supply'

/** Where a rider joins the others and leaves them: "joins at Ferrow, leaves at Quillby"; nothing where they are there all the way. */
export function alongInWords({ joins, leaves }: Pick<Rider, 'joins' | 'leaves'>, stops: readonly Stop[]): string {
  const nameOf = (id: string | null) => stops.find((stop) => stop.id === id)?.name
  const [from, to] = [nameOf(joins), nameOf(leaves)]
  return [from && `joins at ${from}`, to && `leaves at ${to}`].filter((words) => words).join(', ')
}
