import type { Fastener } from './fastener'
import type { BikePart } from './parts'
import type { Bike } from './schema'

/** Parts whose fasteners hang on something that bikes of a kind differ in, and when a bike has them. */
const variable: { parts: readonly BikePart[]; alike: (a: Bike, b: Bike) => boolean; has: (bike: Bike) => boolean }[] = [
  {
    parts: ['front brake', 'rear brake', 'front rotor', 'rear rotor'],
    alike: (a, b) => a.brakes === b.brakes,
    has: () => true,
  },
  {
    parts: ['rack'],
    alike: (a, b) => hasRack(a) === hasRack(b),
    has: (bike) => hasRack(bike),
  },
  { parts: ['mudguards'], alike: (a, b) => a.mudguards === b.mudguards, has: (bike) => bike.mudguards },
  {
    parts: ['derailleur', 'shifter'],
    alike: (a, b) => a.gears === b.gears,
    has: (bike) => bike.gears === 'derailleur',
  },
  { parts: ['motor', 'battery'], alike: (a, b) => a.motor === b.motor, has: (bike) => bike.motor !== 'none' },
  {
    parts: ['fork'],
    alike: (a, b) => a.suspension.forkMm > 0 === b.suspension.forkMm > 0,
    has: (bike) => bike.suspension.forkMm > 0,
  },
  {
    parts: ['pivots', 'shock'],
    alike: (a, b) => a.suspension.rearMm > 0 === b.suspension.rearMm > 0,
    has: (bike) => bike.suspension.rearMm > 0,
  },
]
const hasRack = ({ racks }: Bike) => racks.front || racks.rear

/**
 * The fasteners a bike of this kind and with these parts usually has: those of its kind, with the groups that it
 * differs in taken from a kind that is alike.
 *
 * @param kinds a bike of each kind
 */
export function defaultFasteners(bike: Bike, kinds: readonly Bike[]): Fastener[] {
  const own = kinds.find(({ kind }) => kind === bike.kind)
  let list = own?.fasteners ?? []
  for (const { parts, alike, has } of variable) {
    if (own && alike(bike, own)) continue
    const lender = has(bike) ? kinds.find((other) => alike(bike, other)) : undefined
    list = [...without(list, parts), ...(lender?.fasteners ?? []).filter(({ part }) => parts.includes(part))]
  }
  if (bike.brakes === 'cable-disc' || bike.brakes === 'rim') list = withRole(list, 'brake-anchor', kinds)
  list = bike.pedals === 'flat' ? list.filter(({ role }) => role !== 'cleat-bolt') : withRole(list, 'cleat-bolt', kinds)
  list = bike.leatherSaddle
    ? withRole(list, 'saddle-tension', kinds)
    : list.filter(({ role }) => role !== 'saddle-tension')
  return list.map((fastener) => fitted(fastener, bike))
}

/**
 * The fasteners of a bike after something on it was changed: what such a change usually takes away is gone, what it
 * brings is there, sizes that the passport says are as it says; everything else stays as somebody has written it.
 */
export function fastenersAfterChange(before: Bike, after: Bike, kinds: readonly Bike[]): Fastener[] {
  const [expectedBefore, expectedNow] = [defaultFasteners(before, kinds), defaultFasteners(after, kinds)]
  const ids = (list: readonly Fastener[]) => new Set(list.map(({ id }) => id))
  const [idsBefore, idsNow, idsThere] = [ids(expectedBefore), ids(expectedNow), ids(after.fasteners)]
  const kept = after.fasteners.filter(({ id }) => idsNow.has(id) || !idsBefore.has(id))
  const brought = expectedNow.filter(({ id }) => !idsBefore.has(id) && !idsThere.has(id))
  const saidBefore = new Map(expectedBefore.map((fastener) => [fastener.id, JSON.stringify(fastener)]))
  const saysNow = new Map(expectedNow.map((fastener) => [fastener.id, fastener]))
  return [...kept, ...brought].map((fastener) => {
    const now = saysNow.get(fastener.id)
    return now && saidBefore.get(fastener.id) === JSON.stringify(fastener) ? now : fastener
  })
}

const without = (list: readonly Fastener[], parts: readonly BikePart[]) =>
  list.filter(({ part }) => !parts.includes(part))

function withRole(list: Fastener[], role: string, kinds: readonly Bike[]): Fastener[] {
  if (list.some((fastener) => fastener.role === role)) return list
  const lender = kinds.find(({ fasteners }) => fasteners.some((fastener) => fastener.role === role))
  return [...list, ...(lender?.fasteners ?? []).filter((fastener) => fastener.role === role)]
}

/** Sizes that the passport itself says. */
function fitted(fastener: Fastener, { valve, wheels }: Bike): Fastener {
  switch (fastener.role) {
    case 'valve-core':
      return { ...fastener, drive: { profile: 'valve-core', size: valve } }
    case 'nipple-front':
      return { ...fastener, drive: { profile: 'nipple', size: wheels.front.nippleMm }, count: wheels.front.holes }
    case 'nipple-rear':
      return { ...fastener, drive: { profile: 'nipple', size: wheels.rear.nippleMm }, count: wheels.rear.holes }
    default:
      return fastener
  }
}
