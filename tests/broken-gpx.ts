import { defined } from '#core/validation'
import { seeded } from './seeded'

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

/**
 * A GPX file that is not what it was.
 *
 * @param case_ which of endlessly many ways; the same each time
 */
export function brokenGpx(case_: number): string {
  const random = seeded(case_ + 1)
  const at = (length: number) => Math.floor(random() * length)
  let text = sound
  for (let hurts = 1 + at(4); hurts > 0; hurts--) {
    const [a, b] = [at(text.length), at(text.length)]
    const [from, to] = [Math.min(a, b), Math.max(a, b)]
    const spice = defined(spices[at(spices.length)])
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
