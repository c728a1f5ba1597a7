import type { RoadPoint } from '#core/road'

/** A road of so many points, one each 7 m or so, with hills, as a device would write it. */
export const longRoad = (count: number): RoadPoint[] =>
  Array.from({ length: count }, (_, i) => [
    Number((40 + i * 5e-5 + 0.01 * Math.sin(i / 400)).toFixed(6)),
    Number((-30 + i * 6e-5).toFixed(6)),
    Number((500 + 300 * Math.sin(i / 3000) + 8 * Math.sin(i / 7)).toFixed(1)),
  ])
