import { bikeFrom, bikeStarts, catalogue } from '#catalogue'
import { tripBetweenShops } from '#catalogue/demo'
import { CostsOfFailing } from '#core/availability'
import { thingFrom } from '#core/bench'
import { crewFit, toolsOn } from '#core/fit'
import { surveyRoad } from '#core/road'
import type { Trip } from '#core/trip'
import { firstBench, type Piece } from '#core/unlock'
import { defined } from '#core/validation'
import { describe, expect, it } from 'vitest'

const emptied = (trip: Trip): Trip => ({ ...trip, bench: [] })
const laidOn = (trip: Trip): Piece[] => {
  const survey = surveyRoad(trip.road.points)
  return firstBench(trip, survey, catalogue, new CostsOfFailing(trip, survey, catalogue))
}
const withoutRoad = (trip: Trip): Piece[] => {
  const road = { name: '', points: [], stretches: [] }
  return firstBench({ ...trip, road, stops: [] }, surveyRoad([]), catalogue)
}
const itemsOf = (pieces: readonly Piece[]) =>
  pieces.map(({ id }) => defined(catalogue.items.find((item) => item.id === id)))
const provided = (pieces: readonly Piece[]) => new Set(itemsOf(pieces).flatMap(({ provides }) => provides))
const stocked = (pieces: readonly Piece[]) => new Set(itemsOf(pieces).flatMap(({ units }) => Object.keys(units)))

describe('a first bench', () => {
  const trip = emptied(tripBetweenShops(200))
  const pieces = laidOn(trip)

  it('has what a puncture on these bikes asks for, each thing once', () => {
    expect(provided(pieces)).toContain('lever')
    expect(provided(pieces)).toContain('inflate-presta')
    expect(stocked(pieces)).toContain('tube-622')
    expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length)
  })

  it('turns every fastener that anything in the catalogue turns', () => {
    const tools = toolsOn(itemsOf(pieces).map((item) => thingFrom(item, item.id)))
    const open = crewFit(trip.bikes, tools, trip.dials.handMostN).fasteners.filter(
      ({ coverage }) => coverage === 'uncovered',
    )
    expect(open.map(({ fastener }) => fastener.name)).toEqual([])
  })

  it('has nothing in sizes of other bikes', () => {
    for (const stock of stocked(pieces)) expect(stock).not.toMatch(/^tube-(406|559|584)$/)
  })

  it('heeds a stance: who would carry more has more to choose from, who would carry less has what there was', () => {
    const massOf = (laid: readonly Piece[]) =>
      laid.reduce((sum, { id, count }) => sum + count * defined(itemsOf([{ id, count }])[0]).massG, 0)
    const withDial = (gramsPerHour: number) => laidOn({ ...trip, dials: { ...trip.dials, gramsPerHour } })
    expect(massOf(withDial(30_000))).toBeGreaterThan(massOf(pieces))
    expect(withDial(1)).toEqual(laidOn({ ...trip, dials: { ...trip.dials, gramsPerHour: null } }))
  })

  it('leaves out what these hands never do', () => {
    const novice = { ...trip, crew: trip.crew.map((rider) => ({ ...rider, hands: 0 as const })) }
    const laid = laidOn(novice).map(({ id }) => id)
    expect(pieces.map(({ id }) => id).filter((id) => !laid.includes(id))).toEqual(
      expect.arrayContaining(['boot', 'fibre-spoke']),
    )
  })

  it.each(bikeStarts.map(({ id }) => id))('is there without a road, too, for any kind of bike (%s)', (kind) => {
    const other = { ...trip, bikes: [bikeFrom(kind, 'bike-1')] }
    const laid = withoutRoad(other)
    expect(laid.length).toBeGreaterThan(4)
    expect([...provided(laid)].some((name) => name.startsWith('inflate-'))).toBe(true)
  })
})
