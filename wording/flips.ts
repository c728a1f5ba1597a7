import { skillWords } from '#core/crew'
import type { Flip } from '#core/flips'
import type { Reference } from '#core/reference'
import type { Trip } from '#core/trip'
import type { UnitSystem } from '#core/units'
import { gramsInWords } from './amounts'
import { classInWords } from './supply'

/**
 * What would have to be otherwise, as the end of "it stays at home where …" or "it comes along where …".
 *
 * @param isTaken whether it comes along now
 */
export function flipInWords(
  flip: Flip,
  isTaken: boolean,
  { crew, stops }: Pick<Trip, 'crew' | 'stops'>,
  { hazards, techniques, families }: Pick<Reference, 'hazards' | 'techniques' | 'families'>,
  system: UnitSystem,
): string {
  const placeOf = (id: string) => stops.find((stop) => stop.id === id)?.name ?? id
  switch (flip.kind) {
    case 'dial':
      return `an hour is worth ${isTaken ? 'less' : 'more'} than ${gramsInWords(flip.gramsPerHour, system)}`
    case 'mass':
      return `one weighs ${isTaken ? 'more' : 'less'} than ${gramsInWords(flip.massG, system)}`
    case 'rate': {
      const name = hazards.find(({ id }) => id === flip.hazard)?.name ?? flip.hazard
      return `“${name}” comes ${Number(flip.times.toPrecision(2))} times as often`
    }
    case 'hand': {
      const rider = crew.find(({ id }) => id === flip.rider)?.name ?? flip.rider
      const technique = techniques.find(({ id }) => id === flip.technique)?.name ?? flip.technique
      return `${rider} has “${technique}” as ${skillWords[flip.level]}`
    }
    case 'shut':
      return `${placeOf(flip.stop)} is shut`
    case 'surely':
      return `${placeOf(flip.stop)} surely has ${classInWords(flip.classId, families)}`
  }
}
