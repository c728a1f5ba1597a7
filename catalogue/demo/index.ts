import { homeSchema } from '#core/home'
import { bikeSchema, defaultFasteners, hungAnyway, type Bike, type BikeKind, type Storage } from '#core/bike'
import { riderSchema, type Rider } from '#core/crew'
import { surveyRoad, type Road } from '#core/road'
import { rideSchema } from '#core/ride'
import { dialsSchema, exportGpx, reckoningNow, tripFormat, type Trip } from '#core/trip'
import { bikeFrom } from '../bike-from'
import { bikes as kinds } from '../bikes'
import { containers } from '../containers'
import { services } from '../services'
import { demoBench } from './bench'
import { demoStops } from './stops'
import { demoLine, demoStretches } from './terrain'
import { demoForecast } from './weather'

export * from './between-shops'
export * from './shed'

/** A bike of a kind, as somebody has filled in its passport. */
function filledIn(kind: BikeKind, id: string, change: Partial<Bike>): Bike {
  const bike = bikeSchema.parse({ ...bikeFrom(kind, id), ...change })
  return { ...bike, fasteners: defaultFasteners(bike, kinds) }
}

/** A bag of the catalogue, as it hangs on a bike. */
function hung(from: string, change: Partial<Storage> = {}): Storage {
  const bag = containers.find(({ id }) => id === from)
  if (!bag) throw new RangeError(`the catalogue has no "${from}"`)
  return { ...hungAnyway(bag), ...change }
}

const fox = bikeFrom('gravel', 'fox')
const mule = bikeFrom('tourer', 'mule')

const bikes: Bike[] = [
  filledIn('gravel', 'fox', {
    name: 'The Fox, gravel',
    tyres: {
      front: { ...fox.tyres.front, treadLeft: 0.9, mostBar: 4.5 },
      rear: { ...fox.tyres.rear, treadLeft: 0.7, mostBar: 4.5 },
    },
    wheels: {
      front: { ...fox.wheels.front, erdMm: 610, left: { ...fox.wheels.front.left, measuredMm: 288 } },
      rear: {
        ...fox.wheels.rear,
        erdMm: 610,
        left: { ...fox.wheels.rear.left, measuredMm: 290 },
        right: { ...fox.wheels.rear.right, measuredMm: 288 },
      },
    },
    hanger: 'k3',
    camp: { tent: false, mat: true },
    storage: [
      hung('half-frame-bag'),
      hung('top-tube-bag'),
      hung('seat-pack'),
      hung('down-tube-tin'),
      hung('along-the-stay'),
    ],
    chainLinks: 114,
    padLeft: 0.55,
    chainLeft: 0.7,
  }),
  filledIn('tourer', 'mule', {
    name: 'The Mule, tourer',
    camp: { tent: true, mat: true },
    storage: [
      hung('tool-roll'),
      hung('pannier-pocket', { massG: 0 }),
      hung('pannier', { name: 'Pannier, tent and pots in it', otherMl: 13_500 }),
      hung('handlebar-bag'),
    ],
    tyres: {
      front: { ...mule.tyres.front, size: '42-622' },
      rear: { ...mule.tyres.rear, size: '42-622' },
    },
    wheels: {
      front: { ...mule.wheels.front, erdMm: 600, left: { ...mule.wheels.front.left, measuredMm: 291 } },
      rear: {
        ...mule.wheels.rear,
        erdMm: 600,
        left: { ...mule.wheels.rear.left, measuredMm: 291 },
        right: { ...mule.wheels.rear.right, measuredMm: 288 },
      },
    },
    speeds: 11,
    chainrings: [28, 42],
    sprockets: [11, 13, 15, 17, 19, 21, 23, 25, 28, 32, 36],
    chainLinks: 116,
    hanger: 'm7',
    brakes: 'cable-disc',
    padShape: 'b2',
    padCompound: 'organic',
    padLeft: 0.4,
    chainLeft: 0.5,
    racks: { front: false, rear: true },
  }),
]

const crew: Rider[] = [
  riderSchema.parse({
    id: 'maren',
    name: 'Maren',
    bikeId: 'fox',
    hands: 2,
    loadG: 13_500,
    skills: {
      'change-tube': 3,
      'patch-tube': 3,
      'plug-tubeless': 3,
      'join-chain': 3,
      'make-single-speed': 1,
      'change-drive-spoke': 1,
    },
  }),
  riderSchema.parse({
    id: 'ansel',
    name: 'Ansel',
    bikeId: 'mule',
    hands: 1,
    loadG: 21_000,
    carriesMostG: 800,
    skills: { 'change-tube': 2, lash: 3, 'sew-tyre': 2, 'lube-chain': 3 },
  }),
]

const demoRoad: Road = { name: 'Pell Harbour to Skerry Point', points: demoLine(), stretches: demoStretches }

/** The demo: two riders on 620 km of an island that does not exist. */
export function demoTrip(): Trip {
  return {
    format: tripFormat,
    name: 'Across the Quern, June',
    road: demoRoad,
    ride: rideSchema.parse({ start: '2026-06-12T08:30', utcOffsetH: -1 }),
    forecast: demoForecast,
    stops: demoStops,
    bikes,
    crew,
    bench: demoBench,
    home: homeSchema.parse({}),
    log: [],
    dials: dialsSchema.parse({ gramsPerHour: 970, reckoning: reckoningNow }),
  }
}

/** The demo's road as a GPX file, with its stops as waypoints. */
export function demoGpx(): string {
  return exportGpx(demoTrip(), surveyRoad(demoRoad.points), { services }, false)
}
