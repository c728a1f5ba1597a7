import { openTask } from '#core/task'
import { defined, nth } from '#core/validation'
import type { Fastener } from '#core/bike'
import { crewFit, fitView, defaultHandN } from '#core/fit'
import { catalogue } from '#catalogue'
import { medianMs, ms, say } from './measure'

/** Six bikes with sixty fasteners each, against tools with forty heads: the fit of a large crew. */
export async function benchFit(): Promise<void> {
  const bikes = catalogue.bikes.slice(0, 6).map((bike, i) => ({ id: `bike-${i}`, fasteners: sixty(bike.fasteners) }))
  const wanted = [
    'folding-17',
    'folding-9',
    'key-set',
    'key-8',
    'torx-25',
    'spanner-8-10',
    'spanner-15-open',
    'adjustable',
    'core-tool',
  ]
  const tools = wanted.map((id) => defined(catalogue.items.find((item) => item.id === id)))
  const heads = tools.reduce((sum, tool) => sum + tool.heads.length, 0)
  if (heads !== 40) throw new Error(`the bench was meant to have 40 heads, and has ${heads}`)
  say('fit of six bikes × 60 fasteners × 40 heads, median', ms(await medianMs(() => crewFit(bikes, tools))), '≤ 20 ms')
  const laid = tools.map((tool) => ({
    ...tool,
    count: 1,
    condition: 1,
    pin: null,
    from: tool.id,
    shed: null,
    owned: null,
    broughtBy: null,
    boughtAt: null,
    carriedBy: {},
    packedIn: [],
    buying: { ...openTask, shop: null },
    trial: openTask,
    volumeMl: null,
    longestMm: null,
    note: '',
  }))
  say(
    'the same, with the lightest thing for each that is uncovered',
    ms(await medianMs(() => fitView(bikes, laid, catalogue.items, defaultHandN))),
    '',
  )
}

/** A list made sixty long by saying some of it again. */
function sixty(fasteners: readonly Fastener[]): Fastener[] {
  return Array.from({ length: 60 }, (_, i) => ({ ...nth(fasteners, i % fasteners.length), id: `fastener-${i}` }))
}
