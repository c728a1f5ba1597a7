import type { Thing } from './schema'

/** Things on the bench that do all that another one does: doubles, or a better tool. */
export function doublesOf(thing: Thing, bench: readonly Thing[]): Thing[] {
  if (thing.provides.length + thing.heads.length === 0) return []
  const capabilities = capabilitiesOf(thing)
  return bench.filter((other) => {
    if (other.id === thing.id) return false
    const others = new Set(capabilitiesOf(other))
    return capabilities.every((capability) => others.has(capability))
  })
}

/** What a tool can do, each as a key: its functions, and what its heads get hold of. */
const capabilitiesOf = ({ provides, heads }: Pick<Thing, 'provides' | 'heads'>): string[] => [
  ...provides,
  ...heads.map((head) => ('size' in head ? `${head.profile} ${head.size}` : head.profile)),
]

/** Mass of everything laid out. */
export function laidOutG(bench: readonly Thing[]): number {
  return bench.reduce((sum, thing) => sum + thing.massG * thing.count, 0)
}
