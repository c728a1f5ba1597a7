/** A small container to carry part of a bottle in. */
export interface SmallContainer {
  readonly name: string
  readonly holdsMl: number
  readonly tareG: number
}

/** Containers people decant into. Planning values, from memory: weigh your own. */
export const smallContainers: readonly SmallContainer[] = [
  { name: 'dropper, 5 mL', holdsMl: 5, tareG: 3 },
  { name: 'dropper, 10 mL', holdsMl: 10, tareG: 4.5 },
  { name: 'dropper, 15 mL', holdsMl: 15, tareG: 6 },
  { name: 'dropper, 30 mL', holdsMl: 30, tareG: 9 },
  { name: 'bottle, 60 mL', holdsMl: 60, tareG: 14 },
  { name: 'bottle, 120 mL', holdsMl: 120, tareG: 22 },
]

export interface Decanted {
  readonly containers: readonly SmallContainer[]
  readonly fluidMl: number
  readonly massG: number
}

/**
 * The lightest way to carry so much of a fluid: in one container, or in several of the largest and one more.
 *
 * @param gPerMl its density
 */
export function decant(amountMl: number, gPerMl: number, containers = smallContainers): Decanted {
  const largest = containers.reduce((a, b) => (b.holdsMl > a.holdsMl ? b : a))
  const full = Math.max(0, Math.ceil(amountMl / largest.holdsMl) - 1)
  const restMl = amountMl - full * largest.holdsMl
  const fitting = containers.filter(({ holdsMl }) => holdsMl >= restMl)
  const last = fitting.reduce((a, b) => (b.tareG < a.tareG ? b : a))
  const used = amountMl > 0 ? [...Array<SmallContainer>(full).fill(largest), last] : []
  const tareG = used.reduce((sum, { tareG: emptyG }) => sum + emptyG, 0)
  return { containers: used, fluidMl: amountMl, massG: tareG + amountMl * gPerMl }
}
