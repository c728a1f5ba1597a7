import { nth } from '#core/validation'
import { barShapes, frameShapes, readTyreSize, type Bike, type BikePart } from '#core/bike'
import type { Amount } from '#core/units'

/** Where in a passport something stands. */
type Path = readonly [keyof Bike, ...string[]]

/** A line of the passport: what it says and how it is written down. */
export type PassportLine = { readonly label: string; readonly path: Path } & (
  | {
      readonly kind: 'amount'
      readonly amount: Amount
      readonly least: number
      readonly most: number
      readonly none?: string
    }
  | { readonly kind: 'choice'; readonly options: Readonly<Record<string, string>> }
  | { readonly kind: 'yes' }
  | { readonly kind: 'tyre' }
  | { readonly kind: 'teeth' }
  | { readonly kind: 'mark' }
)

const words = (options: readonly string[]) => Object.fromEntries(options.map((option) => [option, option]))
const length = (label: string, path: Path, least: number, most: number, none?: string): PassportLine => ({
  kind: 'amount',
  label,
  path,
  amount: 'length',
  least,
  most,
  ...(none !== undefined && { none }),
})
const pressure = (label: string, path: Path, none: string): PassportLine => ({
  kind: 'amount',
  label,
  path,
  amount: 'pressure',
  least: 0.1,
  most: 15,
  none,
})
const share = (label: string, path: Path): PassportLine => ({
  kind: 'amount',
  label,
  path,
  amount: 'share',
  least: 0,
  most: 1,
})
const count = (label: string, path: Path, least: number, most: number, none?: string): PassportLine => ({
  kind: 'amount',
  label,
  path,
  amount: 'number',
  least,
  most,
  ...(none !== undefined && { none }),
})
const choice = (label: string, path: Path, options: Readonly<Record<string, string>>): PassportLine => ({
  kind: 'choice',
  label,
  path,
  options,
})
const yes = (label: string, path: Path): PassportLine => ({ kind: 'yes', label, path })

const tyre = (end: 'front' | 'rear'): PassportLine[] => [
  { kind: 'tyre', label: 'Marking', path: ['tyres', end, 'size'] },
  yes('Tubeless', ['tyres', end, 'tubeless']),
  choice('Protection', ['tyres', end, 'protection'], { light: 'light', normal: 'normal', tough: 'tough' }),
  share('Tread left', ['tyres', end, 'treadLeft']),
  pressure('Ridden at', ['tyres', end, 'rideBar'], 'usual'),
  pressure('At most, by its side', ['tyres', end, 'mostBar'], 'not known'),
  share('Sealant left, both tyres', ['sealantLeft']),
]
const wheel = (end: 'front' | 'rear'): PassportLine[] => [
  yes('Rim with hooks', ['rims', end, 'hooked']),
  length('Rim depth at the valve', ['rims', end, 'depthMm'], 5, 120),
  pressure('Rim allows', ['rims', end, 'mostBar'], 'not known'),
  length('Stem of the valve in it', ['rims', end, 'stemMm'], 10, 150, 'not measured'),
  yes('Wide hole for the valve', ['rims', end, 'wideValveHole']),
  choice('Valves of the bike', ['valve'], { presta: 'Presta', schrader: 'Schrader' }),
  count('Spoke holes', ['wheels', end, 'holes'], 8, 72),
  count('Crossings', ['wheels', end, 'crossings'], 0, 5),
  length('Seat to seat of nipples', ['wheels', end, 'erdMm'], 100, 700),
  length('Nipple, across flats', ['wheels', end, 'nippleMm'], 3, 6),
  length('Spoke hole in the flange', ['wheels', end, 'spokeHoleMm'], 1.5, 5),
  length('Left: spoke measured', ['wheels', end, 'left', 'measuredMm'], 60, 350, 'not measured'),
  length('Left: pitch circle', ['wheels', end, 'left', 'flangeMm'], 20, 300),
  length('Left: flange from middle', ['wheels', end, 'left', 'offsetMm'], 0, 80),
  length('Right: spoke measured', ['wheels', end, 'right', 'measuredMm'], 60, 350, 'not measured'),
  length('Right: pitch circle', ['wheels', end, 'right', 'flangeMm'], 20, 300),
  length('Right: flange from middle', ['wheels', end, 'right', 'offsetMm'], 0, 80),
]
const brakes = (end: 'front' | 'rear'): PassportLine[] => [
  choice('Brakes', ['brakes'], { rim: 'rim', 'cable-disc': 'disc, by cable', 'hydraulic-disc': 'disc, hydraulic' }),
  { kind: 'mark', label: 'Shape of the pads', path: ['padShape'] },
  choice('Pads made of', ['padCompound'], { organic: 'organic', sintered: 'sintered', rubber: 'rubber' }),
  share('Pads left', ['padLeft']),
  length('Inner cable at least', ['cables', `${end}BrakeMm`], 100, 4000, 'not measured'),
]
const gears = choice('Gears', ['gears'], { derailleur: 'derailleur', hub: 'in the hub', single: 'one gear' })
const frameLines: PassportLine[] = [
  choice('Shape', ['frame', 'shape'], words(frameShapes)),
  choice('Made of', ['frame', 'material'], words(['steel', 'aluminium', 'titanium', 'carbon'])),
  length('Wheelbase', ['frame', 'wheelbaseMm'], 700, 1500),
  length('Chainstay', ['frame', 'chainstayMm'], 300, 650),
  length('Bottom bracket drop', ['frame', 'dropMm'], -150, 100),
  length('Seat tube', ['frame', 'seatTubeMm'], 200, 700),
  { kind: 'amount', label: 'Seat angle', path: ['frame', 'seatAngleDeg'], amount: 'angle', least: 65, most: 80 },
  count('Pushed loaded, slower by', ['pushFactor'], 1, 4),
]

/** What the passport says of each part. */
const lines: Partial<Record<BikePart, readonly PassportLine[]>> = {
  'front tyre': tyre('front'),
  'rear tyre': tyre('rear'),
  'front wheel': wheel('front'),
  'rear wheel': [
    ...wheel('rear'),
    yes('Geared side without taking the sprockets off', ['wheels', 'rear', 'freeDriveSide']),
  ],
  cassette: [
    gears,
    count('Sprockets', ['speeds'], 1, 14),
    { kind: 'teeth', label: 'Their teeth', path: ['sprockets'] },
    { kind: 'mark', label: 'Spline of the lockring', path: ['lockring'] },
  ],
  chain: [count('Links', ['chainLinks'], 50, 250, 'not counted'), share('Life left', ['chainLeft'])],
  chainring: [{ kind: 'teeth', label: 'Teeth, smallest first', path: ['chainrings'] }],
  pedals: [
    choice('Pedals', ['pedals'], {
      flat: 'flat',
      'two-bolt': 'cleats with two bolts',
      'three-bolt': 'cleats with three bolts',
    }),
  ],
  derailleur: [
    { kind: 'mark', label: 'Shape of the hanger', path: ['hanger'] },
    yes('Hanger part of the frame', ['hangerOfFrame']),
    choice('Shifted by', ['shifting'], { cable: 'cable', electric: 'battery', none: 'nothing' }),
  ],
  cables: [
    share('Shift cables left', ['cablesLeft']),
    length('Rear shift cable at least', ['cables', 'rearShiftMm'], 100, 4000, 'not measured'),
    length('Front shift cable at least', ['cables', 'frontShiftMm'], 100, 4000, 'not measured'),
  ],
  'front brake': brakes('front'),
  'rear brake': brakes('rear'),
  bar: [choice('Shape', ['frame', 'bar'], words(barShapes))],
  headset: [
    { kind: 'amount', label: 'Head angle', path: ['frame', 'headAngleDeg'], amount: 'angle', least: 60, most: 80 },
    length('Height above the bottom bracket', ['frame', 'stackMm'], 350, 850),
    length('Head tube', ['frame', 'headTubeMm'], 60, 350),
  ],
  fork: [length('Travel', ['suspension', 'forkMm'], 0, 250)],
  shock: [length('Travel', ['suspension', 'rearMm'], 0, 250)],
  saddle: [
    yes('Leather, to be tensioned', ['leatherSaddle']),
    length('Height along the seat tube', ['frame', 'saddleMm'], 350, 900),
  ],
  frame: frameLines,
  rack: [yes('Rear rack', ['racks', 'rear']), yes('Front rack', ['racks', 'front'])],
  mudguards: [yes('Mudguards', ['mudguards'])],
  mounts: [count('Places for a cage', ['bottleMounts'], 0, 8)],
  lights: [choice('Lights', ['lights'], { none: 'none', battery: 'battery', dynamo: 'hub dynamo' })],
  motor: [
    choice('Motor', ['motor'], {
      none: 'none',
      mid: 'at the cranks',
      'front-hub': 'front hub',
      'rear-hub': 'rear hub',
    }),
  ],
  battery: [{ kind: 'amount', label: 'Battery', path: ['batteryWh'], amount: 'energy', least: 0, most: 3000 }],
}

/** What the bike has at all: asked where no part is picked, so that what is missing can be put on. */
export const equipment: readonly PassportLine[] = [
  gears,
  nth(brakes('front'), 0),
  choice('Valves', ['valve'], { presta: 'Presta', schrader: 'Schrader' }),
  choice('Pedals', ['pedals'], {
    flat: 'flat',
    'two-bolt': 'cleats with two bolts',
    'three-bolt': 'cleats with three bolts',
  }),
  yes('Rear rack', ['racks', 'rear']),
  yes('Front rack', ['racks', 'front']),
  yes('Mudguards', ['mudguards']),
  yes('Bolts checked and locked', ['boltsLocked']),
  yes('Worked on by one of you before', ['known']),
  yes('Carries a tent with poles', ['camp', 'tent']),
  yes('Carries a mat to blow up', ['camp', 'mat']),
  length('Fork travel', ['suspension', 'forkMm'], 0, 250),
  length('Rear travel', ['suspension', 'rearMm'], 0, 250),
  choice('Motor', ['motor'], { none: 'none', mid: 'at the cranks', 'front-hub': 'front hub', 'rear-hub': 'rear hub' }),
  { kind: 'amount', label: 'Battery', path: ['batteryWh'], amount: 'energy', least: 0, most: 3000 },
  choice('Lights', ['lights'], { none: 'none', battery: 'battery', dynamo: 'hub dynamo' }),
  choice('Frame', ['frame', 'shape'], words(frameShapes)),
  choice('Bar', ['frame', 'bar'], words(barShapes)),
  count('Places for a cage', ['bottleMounts'], 0, 8),
  count('Pushed loaded, slower by', ['pushFactor'], 1, 4),
]

export const linesOf = (part: BikePart): readonly PassportLine[] => lines[part] ?? []

/** What stands at a path. */
export function valueAt(bike: Bike, path: Path): unknown {
  return path.reduce<unknown>((value, step) => (value as Record<string, unknown>)[step], bike)
}

/** The part of a bike that is changed when something else stands at a path. */
export function changeAt(bike: Bike, path: Path, value: unknown): Partial<Bike> {
  const put = (at: unknown, [step, ...rest]: readonly string[]): unknown =>
    step === undefined
      ? value
      : { ...(at as Record<string, unknown>), [step]: put((at as Record<string, unknown>)[step], rest) }
  const [first, ...rest] = path
  return { [first]: put(bike[first], rest) }
}

/** What is wrong with a tyre marking; empty where nothing is. */
export const tyreFault = (marking: string) =>
  readTyreSize(marking)
    ? ''
    : `“${marking.trim()}” cannot be read; the side of the tyre says width and bead, such as 50-622`
