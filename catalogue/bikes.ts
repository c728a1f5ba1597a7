import { z } from 'zod'
import { bikeSchema, type Bike } from '../core/bike'

type Start = Omit<z.input<typeof bikeSchema>, 'id'>

const tyre = (size: string, tubeless: boolean, protection: 'light' | 'normal' | 'tough' = 'normal') => ({
  front: { size, tubeless, protection },
  rear: { size, tubeless, protection },
})

/** Kinds of bike that a trip may start from. Every size is to be checked on the bike itself. */
const starts: Record<string, Start> = {
  gravel: { name: 'Gravel bike', tyres: tyre('45-622', true), speeds: 12, brakes: 'hydraulic-disc', cleats: true },
  tourer: {
    name: 'Road tourer with racks',
    tyres: tyre('40-622', false, 'tough'),
    speeds: 10,
    brakes: 'rim',
    padShape: 'r1',
    rack: true,
  },
  'hard-tail': {
    name: 'Hard-tail',
    tyres: tyre('57-622', true),
    speeds: 12,
    brakes: 'hydraulic-disc',
    padShape: 'b2',
  },
  folder: {
    name: 'Small-wheel folder',
    tyres: tyre('40-406', false),
    valve: 'schrader',
    speeds: 9,
    brakes: 'rim',
    padShape: 'r1',
    rack: true,
    spokes: { frontMm: 182, rearLeftMm: 180, rearDriveMm: 178 },
  },
  'single-speed': {
    name: 'Single-speed',
    tyres: tyre('42-622', false),
    gears: 'single',
    shifting: 'none',
    speeds: 1,
    brakes: 'cable-disc',
  },
}

export const bikeStarts = Object.entries(starts).map(([id, start]) => ({ id, name: start.name }))

/** A bike of a kind, with an id of its own. */
export function bikeFrom(start: string, id: string): Bike {
  const from = starts[start]
  if (!from) throw new RangeError(`there is no kind of bike "${start}"`)
  return bikeSchema.parse({ ...from, id })
}
