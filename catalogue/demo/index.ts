import { bikeSchema, type Bike } from '../../core/bike'
import { riderSchema, type Rider } from '../../core/crew'
import { surveyRoad, type Road } from '../../core/road'
import { rideSchema } from '../../core/ride'
import { dialsSchema, gpxOf, tripFormat, type Trip } from '../../core/trip'
import { services } from '../services'
import { demoBench } from './bench'
import { demoStops } from './stops'
import { demoLine, demoStretches } from './terrain'
import { demoForecast } from './weather'

const bikes: Bike[] = [
  bikeSchema.parse({
    id: 'fox',
    name: 'The Fox, gravel',
    tyres: {
      front: { size: '45-622', tubeless: true, treadLeft: 0.9 },
      rear: { size: '45-622', tubeless: true, treadLeft: 0.7 },
    },
    speeds: 12,
    hanger: 'k3',
    shifting: 'cable',
    brakes: 'hydraulic-disc',
    padShape: 'b1',
    padLeft: 0.55,
    chainLeft: 0.7,
    cleats: true,
  }),
  bikeSchema.parse({
    id: 'mule',
    name: 'The Mule, tourer',
    tyres: {
      front: { size: '42-622', protection: 'tough', treadLeft: 0.8 },
      rear: { size: '42-622', protection: 'tough', treadLeft: 0.8 },
    },
    speeds: 11,
    hanger: 'm7',
    brakes: 'cable-disc',
    padShape: 'b2',
    padLeft: 0.4,
    chainLeft: 0.5,
    rack: true,
    spokes: { frontMm: 291, rearLeftMm: 291, rearDriveMm: 288 },
    pushFactor: 1.25,
  }),
]

const crew: Rider[] = [
  riderSchema.parse({
    id: 'maren',
    name: 'Maren',
    bikeId: 'fox',
    hands: 2,
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
    dials: dialsSchema.parse({ gramsPerHour: 450 }),
  }
}

/** The demo's road as a GPX file, with its stops as waypoints. */
export function demoGpx(): string {
  return gpxOf(demoTrip(), surveyRoad(demoRoad.points), { services }, false)
}
