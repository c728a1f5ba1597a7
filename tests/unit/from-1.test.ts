import { describe, expect, it } from 'vitest'
import { catalogue } from '../../catalogue'
import { headInWords } from '../../core/bench'
import { spokeToAskFor } from '../../core/bike'
import { turnsWith } from '../../core/fit'
import { readTrip } from '../../core/trip'

const old = (change: object) => readTrip({ format: 'rag-tin.trip/1', name: 'Of old', ...change }, catalogue)
const tyres = (size: string) => ({ front: { size }, rear: { size } })

describe('a trip of the first format', () => {
  it('has its bikes’ passports filled in, what was known kept', () => {
    const { bikes } = old({
      bikes: [
        {
          id: 'b',
          name: 'B',
          tyres: tyres('45-622'),
          speeds: 12,
          hanger: 'k3',
          brakes: 'hydraulic-disc',
          rack: true,
          cleats: true,
          padLeft: 0.4,
          spokes: { nippleMm: 3.4, frontMm: 291, rearLeftMm: 292, rearDriveMm: 288 },
        },
      ],
    })
    const [bike] = bikes
    expect(bike).toMatchObject({
      kind: 'tourer',
      speeds: 12,
      hanger: 'k3',
      padLeft: 0.4,
      pedals: 'two-bolt',
      racks: { rear: true },
    })
    expect(spokeToAskFor(bike!, 'rear right')).toBe(288)
    expect(bike!.wheels.front.nippleMm).toBe(3.4)
    const names = bike!.fasteners.map(({ name }) => name)
    expect(names).toEqual(expect.arrayContaining(['Rotor bolts, front', 'Rack bolts', 'Cleat bolts']))
    expect(names).not.toContain('Pad nuts, front')
  })
  it.each([
    [{ tyres: tyres('40-406') }, 'folder'],
    [{ tyres: tyres('42-622'), gears: 'single' }, 'single-speed'],
    [{ tyres: tyres('60-622'), rearSuspension: true }, 'full-suspension'],
    [{ tyres: tyres('100-559') }, 'fat-electric'],
    [{ tyres: tyres('57-622') }, 'hard-tail'],
    [{ tyres: tyres('40-622'), brakes: 'rim' }, 'tourer'],
    [{ tyres: tyres('40-622') }, 'gravel'],
  ])('%j is taken for a %s', (bike, kind) => {
    const [read] = old({ bikes: [{ id: 'b', name: 'B', ...bike }] }).bikes
    expect(read!.kind).toBe(kind)
    expect(read!.fasteners.length).toBeGreaterThan(15)
  })
  it('has what its tools turn said by their heads', () => {
    const { bench } = old({
      bench: [
        {
          id: 'own',
          name: 'Own keys',
          massG: 90,
          provides: ['hex-4', 'hex-5', 'torx-25', 'grip', 'spoke-key-3.2', 'core-presta', 'break-chain'],
        },
        { id: 'long', name: 'Long key', massG: 66, provides: ['hex-8'] },
        { id: 'folding', name: 'Folding', massG: 168, from: 'folding-17', provides: ['hex-4', 'hex-5'] },
        { id: 'pump', name: 'Pump', massG: 100, from: 'mini-pump', provides: ['inflate-presta'] },
      ],
    })
    const [own, long, folding, pump] = bench
    expect(own!.heads.map(headInWords)).toEqual([
      'hex 4',
      'hex 5',
      'T25',
      'spoke key 3.2',
      'core key, presta',
      'chain breaker',
    ])
    expect(own!.provides).toEqual(['grip'])
    // A key for one size alone has a lever worth the name: it freed crank bolts before, and does now.
    const crank = catalogue.bikes
      .find(({ kind }) => kind === 'hard-tail')!
      .fasteners.find(({ role }) => role === 'crank-bolt')!
    expect(turnsWith(crank, [long!])).toBe(true)
    expect(folding!.heads).toHaveLength(17)
    expect(pump).toMatchObject({ heads: [], measures: { strokeMl: 42 } })
  })
  it('is refused where it never made sense, saying where', () => {
    expect(() => old({ bikes: [{ id: 'b', name: 'B', tyres: tyres('28 inch') }] })).toThrow(
      /bikes\[0\]\.tyres\.front\.size/,
    )
    expect(() => old({ bench: [{ id: 'x', name: 'X', massG: 1, provides: ['fly'] }] })).toThrow(
      /bench\[0\]\.provides: "fly"/,
    )
    expect(() => old({ bikes: 'none' })).toThrow(/bikes: "none"/)
  })
})
