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

/** What covers every fastener that one thing more would cover. */
export interface Addition {
  readonly items: CatalogueItem[]
  readonly massG: number
  /** In the smallest coins of the currency of planning values. */
  readonly price: number
  /** Fasteners that nothing in the catalogue turns. */
  readonly hopeless: Fastener[]
}

/** What an addition has least of, and what decides between two that have as little. */
interface Least {
  readonly weight: (item: CatalogueItem) => number
  readonly worse?: (items: readonly CatalogueItem[]) => number
}

/**
 * The things of a catalogue with which all of some fasteners would turn, each by one of them beside what is there already, and
 * that have least of something together; exactly, as a set cover.
 *
 * @param least what they have least of; 0 or more for each thing
 */
export function leastAddition(
  uncovered: readonly Fastener[],
  tools: readonly Tool[],
  items: readonly CatalogueItem[],
  { weight, worse }: Least,
  handMostN = defaultHandN,
): Addition {
  const coverers = uncovered.map((fastener) => new Set(itemsThatTurn(fastener, tools, items, handMostN)))
  const hopeless = uncovered.filter((_, i) => nth(coverers, i).size === 0)
  const hopeful = coverers.filter((set) => set.size > 0)
  const candidates = items.map((item) => ({
    covers: hopeful.flatMap((set, i) => (set.has(item) ? [i] : [])),
    weight: weight(item),
  }))
  const named = (picked: readonly number[]) => picked.map((i) => nth(items, i))
  const found = minimumWeightCover(hopeful.length, candidates, worse && ((picked) => worse(named(picked)))) ?? []
  const picked = named(found)
  return { items: picked, massG: massOf(picked), price: priceOf(picked), hopeless }
}

const massOf = (items: readonly CatalogueItem[]) => items.reduce((sum, { massG }) => sum + massG, 0)
const priceOf = (items: readonly CatalogueItem[]) => items.reduce((sum, { price }) => sum + price, 0)

/** The same at the least mass. */
export const lightestAddition = (
  uncovered: readonly Fastener[],
  tools: readonly Tool[],
  items: readonly CatalogueItem[],
  handMostN = defaultHandN,
): Addition => leastAddition(uncovered, tools, items, { weight: ({ massG }) => massG }, handMostN)
