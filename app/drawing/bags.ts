import type { Bike, Storage, StoragePlace } from '#core/bike'
import { between, skeleton, type Point, type Skeleton } from './bike-side-view'

/** A bag on the picture of a bike: a box about its middle, turned clockwise, mm. */
export interface DrawnBag {
  readonly storageId: string
  readonly at: Point
  readonly turnedDeg: number
  readonly widthMm: number
  readonly heightMm: number
}

/** How far a bag comes towards whoever looks, mm, and how much wider it is than high. Usual shapes. */
const shapes: Readonly<Record<StoragePlace, { readonly deepMm: number; readonly wide: number }>> = {
  'under the saddle': { deepMm: 70, wide: 1.6 },
  'behind the saddle': { deepMm: 190, wide: 2.4 },
  'in the frame': { deepMm: 65, wide: 2.6 },
  'on the top tube, in front': { deepMm: 60, wide: 2.2 },
  'on the top tube, behind': { deepMm: 60, wide: 2 },
  'in a bottle cage': { deepMm: 75, wide: 2.2 },
  'under the down tube': { deepMm: 75, wide: 2.2 },
  'on the handlebar': { deepMm: 240, wide: 1.1 },
  'on the fork': { deepMm: 120, wide: 0.55 },
  pannier: { deepMm: 170, wide: 0.85 },
  'on the rack': { deepMm: 200, wide: 2 },
  'in the steerer': { deepMm: 25, wide: 0.25 },
  'in a handlebar end': { deepMm: 18, wide: 3 },
  'in the seat tube': { deepMm: 27, wide: 0.2 },
  'strapped to the frame': { deepMm: 45, wide: 4 },
  'in the frame itself': { deepMm: 45, wide: 6 },
  'on the rider': { deepMm: 60, wide: 0.8 },
}

/** What there is of it in all, where volumes are known, is not drawn smaller or larger than this, mm². */
const leastMm2 = 2600
const mostMm2 = 150_000

/** Bags of a bike where they hang, those of one place beside one another. */
export function bagsOf(bike: Bike): DrawnBag[] {
  const bones = skeleton(bike)
  const before = new Map<StoragePlace, number>()
  return bike.storage.map((bag) => {
    const number = before.get(bag.place) ?? 0
    before.set(bag.place, number + 1)
    const { deepMm, wide } = shapes[bag.place]
    const areaMm2 = Math.min(mostMm2, Math.max(leastMm2, (bag.volumeMl * 1000) / deepMm))
    const heightMm = Math.sqrt(areaMm2 / wide)
    const size = { widthMm: areaMm2 / heightMm, heightMm }
    return { storageId: bag.id, ...size, ...where(bag, number, size, bones) }
  })
}

const degrees = ([fromX, fromY]: Point, [toX, toY]: Point) => (Math.atan2(toY - fromY, toX - fromX) * 180) / Math.PI
/** Away from a line, to its left as one goes along it. */
function beside(from: Point, to: Point, share: number, off: number): Point {
  const [x, y] = between(from, to, share)
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  return [x + (off * (to[1] - from[1])) / length, y - (off * (to[0] - from[0])) / length]
}

function where(
  { place }: Pick<Storage, 'place'>,
  number: number,
  { widthMm, heightMm }: Pick<DrawnBag, 'widthMm' | 'heightMm'>,
  bones: Skeleton,
): Pick<DrawnBag, 'at' | 'turnedDeg'> {
  const { bottomBracket, headFoot, headTop, seatTop, saddle, rearAxle, frontAxle, stemTop, rear, front } = bones
  const downTube = degrees(bottomBracket, headFoot)
  const topTube = degrees(seatTop, headTop)
  switch (place) {
    case 'under the saddle':
      return { at: [saddle[0] - 60 - widthMm / 4, saddle[1] + heightMm / 2], turnedDeg: -12 }
    case 'behind the saddle':
      return { at: [saddle[0] - 70 - widthMm / 2, saddle[1] - 5], turnedDeg: 12 }
    case 'in the frame':
      return { at: beside(seatTop, headTop, 0.5, -heightMm / 2 - 26 - number * 70), turnedDeg: topTube }
    case 'on the top tube, in front':
      return { at: beside(seatTop, headTop, 0.78 - number * 0.3, heightMm / 2 + 16), turnedDeg: topTube }
    case 'on the top tube, behind':
      return { at: beside(seatTop, headTop, 0.16, heightMm / 2 + 16), turnedDeg: topTube }
    case 'in a bottle cage':
      return number === 0
        ? { at: beside(bottomBracket, headFoot, 0.42, heightMm / 2 + 26), turnedDeg: downTube }
        : { at: beside(bottomBracket, seatTop, 0.5, -heightMm / 2 - 24), turnedDeg: degrees(bottomBracket, seatTop) }
    case 'under the down tube':
      return { at: beside(bottomBracket, headFoot, 0.36, -heightMm / 2 - 26), turnedDeg: downTube }
    case 'on the handlebar':
      return { at: [stemTop[0] + 90 + widthMm / 2, stemTop[1] + 50 + number * 40], turnedDeg: 0 }
    case 'on the fork':
      return { at: beside(headFoot, frontAxle, 0.55, -30 - number * 40), turnedDeg: degrees(headFoot, frontAxle) - 90 }
    case 'pannier':
      return number < 2
        ? { at: [rearAxle[0] - 70 - number * 46, -rear.tyre * 0.45 - number * 26], turnedDeg: 0 }
        : { at: [frontAxle[0] + 10, frontAxle[1] - front.tyre * 0.2], turnedDeg: 0 }
    case 'on the rack':
      return { at: [-rear.tyre * 0.3, -rear.tyre - 60 - heightMm / 2], turnedDeg: 0 }
    case 'in the steerer':
      return { at: between(headTop, headFoot, 0.5), turnedDeg: degrees(headTop, headFoot) - 90 }
    case 'in a handlebar end':
      return { at: [stemTop[0] + 60, stemTop[1] + 92 + number * 30], turnedDeg: 0 }
    case 'in the seat tube':
      return { at: between(bottomBracket, seatTop, 0.45), turnedDeg: degrees(bottomBracket, seatTop) + 90 }
    case 'strapped to the frame':
      return number % 2 === 0
        ? { at: beside(rearAxle, seatTop, 0.55, 14 + number * 10), turnedDeg: degrees(rearAxle, seatTop) }
        : { at: beside(bottomBracket, headFoot, 0.75, 34 + number * 8), turnedDeg: downTube }
    case 'in the frame itself':
      return { at: between(bottomBracket, headFoot, 0.5), turnedDeg: downTube }
    case 'on the rider':
      return { at: [saddle[0] + 60 + number * 110, saddle[1] - 150], turnedDeg: 0 }
  }
}
