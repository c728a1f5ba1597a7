import { nth } from '../validation'
import { headSchema, type Head } from '../bench'
import { bikeSchema, readTyreSize, defaultFasteners, type Bike, type BikeKind } from '../bike'
import type { Reference } from '../reference'

/*
 * What the first format of a trip, rag-tin.trip/1, said otherwise: bikes had neither fasteners nor measures of their
 * wheels, and tools said what they turn among their functions ("hex-5").
 */

type Loose = Record<string, unknown>
const isLoose = (value: unknown): value is Loose => value !== null && typeof value === 'object' && !Array.isArray(value)

/** A bike of the first format, its measures and fasteners filled in as usual for one of its kind. */
export function bikeFrom1(old: Loose, reference: Pick<Reference, 'bikes'>): Loose {
  if ('fasteners' in old) return old
  const kind = (old.kind as BikeKind | undefined) ?? kindOf(old)
  const start = reference.bikes.find((bike) => bike.kind === kind)
  const spokes = isLoose(old.spokes) ? old.spokes : {}
  const nippleMm = spokes.nippleMm
  const { spokes: _, rearSuspension, rack, cleats, ...rest } = old
  const next = {
    frame: start?.frame,
    rims: start?.rims,
    chainrings: start?.chainrings,
    sprockets: sprocketsFor(old, start),
    ...rest,
    kind,
    wheels: {
      front: wheelFrom1(start?.wheels.front, nippleMm, spokes.frontMm, spokes.frontMm),
      rear: wheelFrom1(start?.wheels.rear, nippleMm, spokes.rearLeftMm, spokes.rearDriveMm),
    },
    suspension: { forkMm: 0, rearMm: rearSuspension === true ? 120 : 0 },
    racks: { front: false, rear: rack === true },
    pedals: cleats === true ? 'two-bolt' : 'flat',
    padCompound: old.brakes === 'rim' ? 'rubber' : 'organic',
  }
  const read = bikeSchema.safeParse(next)
  // What cannot be read is left as it is: the check of the whole document says where and why.
  return read.success
    ? { ...next, fasteners: defaultFasteners(read.data, reference.bikes) }
    : { ...next, fasteners: [] }
}

function kindOf(old: Loose): BikeKind {
  const tyres = isLoose(old.tyres) ? old.tyres : {}
  const rear = isLoose(tyres.rear) ? tyres.rear : {}
  const size = readTyreSize(String(rear.size))
  if (old.gears === 'single') return 'single-speed'
  if (old.rearSuspension === true) return 'full-suspension'
  if (size && size.beadMm <= 451) return 'folder'
  if (size && size.widthMm >= 90) return 'fat-electric'
  if (old.rack === true || old.brakes === 'rim') return 'tourer'
  return size && size.widthMm >= 54 ? 'hard-tail' : 'gravel'
}

function sprocketsFor({ speeds }: Loose, start: Bike | undefined): number[] | undefined {
  // The largest ones, where the kind has more.
  return typeof speeds === 'number' ? start?.sprockets.slice(-speeds) : start?.sprockets
}

function wheelFrom1(start: Bike['wheels']['front'] | undefined, nippleMm: unknown, leftMm: unknown, rightMm: unknown) {
  return {
    ...start,
    ...(nippleMm !== undefined && { nippleMm }),
    left: { ...start?.left, measuredMm: leftMm ?? null },
    right: { ...start?.right, measuredMm: rightMm ?? null },
  }
}

/** A thing of the first format: functions that turn something become heads. */
export function thingFrom1(old: Loose, reference: Pick<Reference, 'items'>): Loose {
  if ('heads' in old || 'measures' in old) return old
  const item = reference.items.find(({ id }) => id === old.from)
  // Functions that are no list are left as they are, too.
  const listed = Array.isArray(old.provides)
  const provides = listed ? (old.provides as unknown[]) : []
  const turning = provides.filter((id) => typeof id === 'string' && headsFrom1(id).length > 0) as string[]
  const hexes = turning.filter((id) => id.startsWith('hex-'))
  // A key for one size is taken to be a key with a lever of its own, several sizes a folding tool.
  const leverMm = hexes.length === 1 ? 150 : 65
  return {
    ...old,
    provides: listed ? provides.filter((id) => !turning.includes(id as string)) : old.provides,
    heads:
      item && turning.length > 0
        ? item.heads
        : turning.flatMap(headsFrom1).map((head) => ({ ...head, ...(head.profile === 'hex' && { leverMm }) })),
    comesApart: item?.comesApart ?? false,
    measures: item?.measures ?? {},
  }
}

const byFamily: Readonly<Record<string, (size: string) => unknown>> = {
  hex: (size) => ({ profile: 'hex', size: Number(size) }),
  torx: (size) => ({ profile: 'hexalobular', size: Number(size) }),
  phillips: (size) => ({ profile: 'phillips', size: Number(size) }),
  slot: (size) => ({ profile: 'slot', size: Number(size) }),
  spanner: (size) => ({ profile: 'open-end', size: Number(size), leverMm: 120, thickMm: 5 }),
  'spoke-key': (size) => ({ profile: 'spoke-key', size: Number(size), leverMm: 16 }),
  core: (size) => ({ profile: 'valve-core', size, leverMm: 9, spins: true }),
}
const alone: Readonly<Record<string, unknown>> = {
  adjustable: { profile: 'adjustable', size: 16, leverMm: 95 },
  lockring: { profile: 'spline', size: 'c1', leverMm: 170, reachMm: 30 },
  'break-chain': { profile: 'chain-pin', leverMm: 35, spins: true },
  'close-link': { profile: 'link-pliers', leverMm: 60 },
  torque: { profile: 'hex', size: 5, leverMm: 80, setNm: { least: 4, most: 6 } },
}

/** The head that a function of the first format stands for; none where it turns nothing. */
function headsFrom1(id: string): Head[] {
  const match = /(.+)-(.+)/.exec(id)
  const written = alone[id] ?? (match ? byFamily[nth(match, 1)]?.(nth(match, 2)) : undefined)
  const head = written === undefined ? undefined : headSchema.safeParse(written)
  return head?.success ? [head.data] : []
}

/** A whole document of the first format. */
export function tripFrom1(document: Loose, reference: Reference): Loose {
  const each = (list: unknown, change: (entry: Loose) => Loose) =>
    Array.isArray(list) ? list.map((entry: unknown) => (isLoose(entry) ? change(entry) : entry)) : list
  return {
    ...document,
    ...('bikes' in document && { bikes: each(document.bikes, (bike) => bikeFrom1(bike, reference)) }),
    ...('bench' in document && { bench: each(document.bench, (thing) => thingFrom1(thing, reference)) }),
  }
}
