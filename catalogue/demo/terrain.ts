import { nth } from '#core/validation'
import { defaultTraits, type RoadPoint, type Stretch, type StretchTraits } from '#core/road'

/** Height in metres at some places of the invented road; two passes, at km 152 and km 428. */
const heights: readonly (readonly [km: number, m: number])[] = [
  [0, 8],
  [22, 95],
  [38, 210],
  [55, 140],
  [71, 92],
  [98, 420],
  [118, 640],
  [152, 1480],
  [176, 980],
  [196, 610],
  [222, 470],
  [243, 520],
  [271, 330],
  [292, 410],
  [311, 236],
  [334, 380],
  [352, 300],
  [397, 940],
  [428, 1890],
  [452, 1120],
  [466, 820],
  [494, 560],
  [521, 300],
  [549, 176],
  [580, 250],
  [604, 90],
  [620, 4],
]

/** The road lies on an island that does not exist, in the open Atlantic. */
const start = { lat: 43.62, lon: -33.4 }
const lengthKm = 620
const stepKm = 0.1
const earthKm = 6371.0088

/** A repeatable stream of numbers from 0 to 1 (mulberry32). */
function numbersFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A smooth wander: waves of several lengths with seeded phases, each longer one higher. */
function wander(random: () => number, lengthsKm: readonly number[], heightPerKm: number): (km: number) => number {
  const waves = lengthsKm.map((length) => ({
    length: length * (0.8 + 0.4 * random()),
    phase: 2 * Math.PI * random(),
    height: heightPerKm * length ** 0.8 * (0.7 + 0.6 * random()),
  }))
  return (km) =>
    waves.reduce((sum, wave) => sum + wave.height * Math.sin((2 * Math.PI * km) / wave.length + wave.phase), 0)
}

function heightAt(km: number): number {
  const next = Math.max(
    1,
    heights.findIndex(([at]) => at >= km),
  )
  const [fromKm, fromM] = nth(heights, next - 1)
  const [toKm, toM] = nth(heights, next)
  const part = (km - fromKm) / (toKm - fromKm)
  return fromM + (toM - fromM) * part * part * (3 - 2 * part)
}

/** The invented road, point by point: the same for the same seed. */
export function demoLine(seed = 20260711): RoadPoint[] {
  const random = numbersFrom(seed)
  const rolling = wander(random, [0.9, 1.7, 3.1, 5.3], 2.6)
  const bends = wander(random, [1.3, 4.7, 17, 61, 190], 0.03)
  const points: RoadPoint[] = []
  let { lat, lon } = start
  const steps = Math.round(lengthKm / stepKm)
  for (let i = 0; i <= steps; i++) {
    const km = i * stepKm
    const nearShore = Math.min(1, km / 4, (lengthKm - km) / 4)
    const noise = (random() - 0.5) * 1.6
    const eleM = Math.max(2, heightAt(km) + nearShore * rolling(km) + noise)
    points.push([Number(lat.toFixed(6)), Number(lon.toFixed(6)), Number(eleM.toFixed(1))])
    const heading = (58 * Math.PI) / 180 + Math.max(-2.2, Math.min(2.2, bends(km)))
    const turn = stepKm / earthKm
    lat += (turn * Math.cos(heading) * 180) / Math.PI
    lon += (turn * Math.sin(heading) * 180) / Math.PI / Math.cos((lat * Math.PI) / 180)
  }
  return points
}

const stretch = (fromKm: number, toKm: number, marks: Partial<StretchTraits>): Stretch => ({
  id: `from-${fromKm}`,
  fromKm,
  toKm,
  ...defaultTraits,
  ...marks,
})
const lonely = { signal: false, traffic: 'empty' } as const

/** What the road is made of, and who comes by. */
export const demoStretches: Stretch[] = [
  stretch(0, 44, { surface: 'asphalt', traffic: 'busy' }),
  stretch(71, 108, { traffic: 'empty' }),
  stretch(108, 152, { surface: 'track', ...lonely }),
  stretch(152, 190, { surface: 'singletrack', wet: true, ...lonely }),
  stretch(222, 268, { surface: 'track', thorns: true, traffic: 'empty' }),
  stretch(268, 311, { surface: 'asphalt', traffic: 'busy' }),
  stretch(340, 396, { traffic: 'empty' }),
  stretch(396, 428, { surface: 'track', wet: true, ...lonely }),
  stretch(428, 466, { wet: true, ...lonely }),
  stretch(466, 549, { surface: 'asphalt', traffic: 'busy' }),
  stretch(604, 619.5, { surface: 'asphalt' }),
]
