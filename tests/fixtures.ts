import { headSchema, type Head } from '#core/bench'
import { fastenerSchema, type Drive, type Fastener } from '#core/bike'
import type { Tool } from '#core/fit'

/** A head with its planning measures, but for what is said. */
export const aHead = (head: Partial<Head> & Pick<Head, 'profile'>): Head => headSchema.parse(head)

/** A tool made of heads. */
export const aTool = (id: string, ...heads: Head[]): Tool => ({ id, heads, comesApart: false })

/** A fastener out in the open, but for what is said. */
export function aFastener(drive: Drive, torqueNm: number, more: Partial<Fastener> = {}): Fastener {
  return fastenerSchema.parse({
    id: 'f',
    name: 'a fastener',
    part: 'frame',
    drive,
    torqueNm: { least: torqueNm, most: torqueNm },
    ...more,
  })
}
