import { nth } from '#core/validation'
import type { Road, RoadPoint } from '#core/road'

/**
 * The line of a road as it crosses between page and worker: latitude,
 * longitude and height of each point one after the other, NaN where the height
 * is unknown. The buffer changes hands and is not copied.
 */
export type PackedLine = Float64Array<ArrayBuffer>

/** Names a line, wherever it was made; a line never changes, another one has another name. */
export type LineId = string

/** A road whose line travels apart from it. */
export type RoadWithoutLine = Omit<Road, 'points'>

export function packLine(points: readonly RoadPoint[]): PackedLine {
  const packed = new Float64Array(points.length * 3)
  points.forEach(([lat, lon, ele], i) => {
    packed[3 * i] = lat
    packed[3 * i + 1] = lon
    packed[3 * i + 2] = ele ?? NaN
  })
  return packed
}

export function unpackLine(packed: PackedLine, from = 0, to = packed.length / 3): RoadPoint[] {
  const points: RoadPoint[] = []
  for (let at = 3 * from; at < 3 * to; at += 3) {
    const ele = nth(packed, at + 2)
    points.push([nth(packed, at), nth(packed, at + 1), Number.isNaN(ele) ? null : ele])
  }
  return points
}
