import type { Thing } from './schema'

/** Mass of everything laid out. */
export function laidOutG(bench: readonly Thing[]): number {
  return bench.reduce((sum, thing) => sum + thing.massG * thing.count, 0)
}
