import { describe, expect, it } from 'vitest'
import { Fault } from '../../core/fault'
import { readGpx, roadPointSchema, surveyRoad } from '../../core/road'
import { seeded } from '../ledgers'

/** A small file with everything that is read: names, tracks, routes, waypoints, heights, times. */
const sound = `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="t" xmlns="http://www.topografix.com/GPX/1/1">
<metadata><name>Over &amp; under</name></metadata>
<wpt lat="57.1" lon="-33.2"><name>Spring</name><sym>water</sym></wpt>
<trk><name>Day one</name><trkseg>
<trkpt lat="57.10" lon="-33.20"><ele>12.5</ele><time>2026-06-12T08:00:00Z</time></trkpt>
<trkpt lat="57.11" lon="-33.21"><ele>18</ele></trkpt><trkpt lat="57.12" lon="-33.19"/>
</trkseg><trkseg><trkpt lat="57.13" lon="-33.18"/></trkseg></trk>
<rte><rtept lat="1" lon="2"/><rtept lat="1" lon="3"/></rte></gpx>`

const spices = [
  '<!DOCTYPE x [<!ENTITY a "b">]>',
  '&a;',
  '&#0;',
  '&#x110000;',
  ']]>',
  '<![CDATA[',
  '<!--',
  '-->',
  '<?',
  '<',
  '>',
  '"',
  "'",
  '=',
  '/',
  'NaN',
  'Infinity',
  '-',
  '1e999',
  '0x10',
  '91',
  '181',
  '٣',
  '\u0000',
  '\ufeff',
  '\ud800',
  'lat=',
  '</trk>',
  '<trkpt>',
  '<gpx>',
  '</gpx>',
  '<ele>',
  '__proto__',
  'constructor',
  '<trkpt lat="1" lon="1"/>'.repeat(40),
  '<a>'.repeat(300),
  ' '.repeat(500),
  'xmlns:x="y"',
]

/** One of 2000 ways in which the file is not what it was. */
function broken(case_: number): string {
  const random = seeded(case_ + 1)
  const at = (length: number) => Math.floor(random() * length)
  let text = sound
  for (let hurts = 1 + at(4); hurts > 0; hurts--) {
    const [a, b] = [at(text.length), at(text.length)]
    const [from, to] = [Math.min(a, b), Math.max(a, b)]
    const spice = spices[at(spices.length)]!
    switch (at(6)) {
      case 0:
        text = text.slice(0, from) + text.slice(Math.min(to, from + 40))
        break
      case 1:
        text = text.slice(0, from) + spice + text.slice(from)
        break
      case 2:
        text = text.slice(0, from) + String.fromCharCode(at(0xffff)) + text.slice(from + 1)
        break
      case 3:
        text = text.slice(0, to)
        break
      case 4:
        text = text.slice(0, to) + text.slice(from)
        break
      default:
        text = text.replace(/\d+(\.\d+)?/g, (number) => (random() < 0.15 ? spice : number))
    }
  }
  return text
}

describe('files that are broken, in two thousand ways', () => {
  it('are read as a road that can be measured, or refused with a reason; nothing else', () => {
    let refused = 0
    for (let case_ = 0; case_ < 2000; case_++) {
      const text = broken(case_)
      try {
        const { points, waypoints, lines } = readGpx(text)
        expect(points.length).toBeGreaterThanOrEqual(2)
        for (const point of points) roadPointSchema.parse(point)
        expect(lines.flatMap((line) => line.points)).toEqual(points)
        expect(Number.isFinite(surveyRoad(points).lengthKm)).toBe(true)
        for (const { name } of waypoints) expect(name.length).toBeLessThanOrEqual(200)
      } catch (error) {
        if (!(error instanceof Fault)) throw new Error(`case ${case_} was not refused but failed: ${String(error)}`)
        expect(error.message).toMatch(/; expected /)
        refused++
      }
    }
    // Neither all nor none: the breaking breaks, and the reader is not merely strict.
    expect(refused).toBeGreaterThan(800)
    expect(refused).toBeLessThan(1990)
  })
})
