import { nth } from '../validation'
import type { CatalogueItem } from '../bench'
import type { Fastener } from '../bike'
import { minimumWeightCover } from '../maths'
import { defaultHandN } from './force'
import type { Tool } from './tool'
import { waysTo } from './ways'

/** Things of a catalogue that a fastener would turn with, beside what is there; the lightest first. */
export function itemsThatTurn(
  fastener: Fastener,
  tools: readonly Tool[],
  items: readonly CatalogueItem[],
  handMostN = defaultHandN,
): CatalogueItem[] {
  return items
    .filter((item) => item.heads.length > 0 && waysTo(fastener, [...tools, item], handMostN).turns)
    .sort((a, b) => a.massG - b.massG)
}

/** What covers every fastener that one thing more would cover, at the least mass. */
export interface LightestAddition {
  readonly items: CatalogueItem[]
  readonly massG: number
  /** Fasteners that nothing in the catalogue turns. */
  readonly hopeless: Fastener[]
}

/**
 * The lightest things of a catalogue with which all of some fasteners would turn, each by one of them beside what
 * is there already; exactly, as a set cover.
 */
export function lightestAddition(
  uncovered: readonly Fastener[],
  tools: readonly Tool[],
  items: readonly CatalogueItem[],
  handMostN = defaultHandN,
): LightestAddition {
  const coverers = uncovered.map((fastener) => new Set(itemsThatTurn(fastener, tools, items, handMostN)))
  const hopeless = uncovered.filter((_, i) => nth(coverers, i).size === 0)
  const hopeful = coverers.filter((set) => set.size > 0)
  const candidates = items.map((item) => ({
    covers: hopeful.flatMap((set, i) => (set.has(item) ? [i] : [])),
    weight: item.massG,
  }))
  const picked = (minimumWeightCover(hopeful.length, candidates) ?? []).map((i) => nth(items, i))
  return { items: picked, massG: picked.reduce((sum, { massG }) => sum + massG, 0), hopeless }
}
