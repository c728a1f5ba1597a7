import type { SplitProblem } from '#core/split'
import { nth } from '#core/validation'

/**
 * A split of a crew that is never apart as a mixed-integer program, in the LP format that CPLEX brought up and HiGHS reads:
 * which rider carries each piece of the kit, the grams each carries beyond a fair share, and the bags that are opened for
 * each work. Nothing of it is taken from the search that it judges.
 */
export function splitProgram({ riders, items, kit, works, fetchH, unevenHoursPerGram }: SplitProblem): string {
  const shares = riders.reduce((sum, { share }) => sum + share, 0)
  const inAllG = items.reduce((sum, { massG }, i) => sum + massG * nth(kit, i), 0)
  const costs: string[] = []
  const rows: string[] = []
  const whole: string[] = []
  const carried = (item: number, rider: number) => `x${item}_${rider}`
  items.forEach((_, item) => {
    if (nth(kit, item) === 0) return
    rows.push(`${riders.map((__, r) => carried(item, r)).join(' + ')} = ${nth(kit, item)}`)
    whole.push(...riders.map((__, r) => carried(item, r)))
  })
  riders.forEach(({ share }, r) => {
    const load = items.flatMap(({ massG }, i) => (nth(kit, i) > 0 ? [`${massG} ${carried(i, r)}`] : []))
    const fair = shares > 0 ? (share / shares) * inAllG : inAllG / riders.length
    rows.push(`over${r} - ${load.join(' - ')} >= ${-fair}`)
    costs.push(`${unevenHoursPerGram} over${r}`)
  })
  works.forEach(({ bike, times, wants }, w) => {
    const own = riders.flatMap((rider, r) => (rider.bike === bike ? [r] : []))
    const others = riders.flatMap((rider, r) => (rider.bike === bike ? [] : [r]))
    const there = wants.map((list) => list.filter((item) => nth(kit, item) > 0)).filter((list) => list.length > 0)
    if (there.length === 0) return
    for (const r of others) {
      costs.push(`${fetchH * times} bag${w}_${r}`)
      whole.push(`bag${w}_${r}`)
      rows.push(`bag${w}_${r} <= 1`)
    }
    there.forEach((list, q) => {
      const had = own.flatMap((r) => list.map((item) => carried(item, r)))
      const fetched = others.map((r) => `got${w}_${q}_${r}`)
      rows.push(`${[...had, ...fetched].join(' + ')} >= 1`)
      others.forEach((r, o) => {
        rows.push(`${nth(fetched, o)} - bag${w}_${r} <= 0`)
        rows.push(`${nth(fetched, o)} - ${list.map((item) => carried(item, r)).join(' - ')} <= 0`)
      })
    })
  })
  return [
    'Minimize',
    ` cost: ${costs.join(' + ')}`,
    'Subject To',
    ...rows.map((row, i) => ` r${i}: ${row}`),
    'General',
    ` ${whole.join(' ')}`,
    'End',
  ].join('\n')
}
