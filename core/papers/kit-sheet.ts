import type { Cure, PackPlan } from '../pack'
import type { Trip } from '../trip'
import { defined, nth } from '../validation'

/** Pieces of one thing, as they lie in a place. */
export interface KitLine {
  readonly name: string
  readonly count: number
  readonly massG: number
  readonly cures: readonly Cure[]
  /** The thing that it is wound on, or whose box it lies in. */
  readonly on: string | null
}

/** A bag, a tin or a hollow with what lies in it, from its opening downwards. */
export interface KitPlace {
  readonly name: string
  readonly lines: readonly KitLine[]
  readonly massG: number
}

/** What one bike carries of the kit. */
export interface KitSheet {
  readonly bike: string
  readonly riders: readonly string[]
  readonly places: readonly KitPlace[]
  /** What goes in nowhere. */
  readonly loose: readonly KitLine[]
  readonly massG: number
}

const massOf = (lines: readonly KitLine[]) => lines.reduce((sum, { massG }) => sum + massG, 0)

/** What each bike carries, bag by bag; bags in which nothing of the kit lies are left out. */
export const kitSheets = ({ bikes, crew, bench }: Trip, packs: readonly PackPlan[]): KitSheet[] =>
  packs.map(({ bikeId, places, out }) => {
    const bike = defined(bikes.find(({ id }) => id === bikeId))
    const line = (thing: number, count: number, cures: readonly Cure[] = [], on: number | null = null): KitLine => {
      const { name, massG } = nth(bench, thing)
      return { name, count, massG: count * massG, cures, on: on === null ? null : nth(bench, on).name }
    }
    const filled = places
      .filter(({ layers }) => layers.length > 0)
      .map(({ storageId, layers }): KitPlace => {
        const lines = layers.map(({ thing, count, cures, on }) => line(thing, count, cures, on))
        return { name: defined(bike.storage.find(({ id }) => id === storageId)).name, lines, massG: massOf(lines) }
      })
    const loose = out.map(({ thing, count }) => line(thing, count))
    return {
      bike: bike.name,
      riders: crew.filter((rider) => rider.bikeId === bikeId).map(({ name }) => name),
      places: filled,
      loose,
      massG: massOf([...filled.flatMap(({ lines }) => lines), ...loose]),
    }
  })
