import type { TyreSize } from '../bike'

/**
 * Volume of air in a tyre, mL: a torus of its section width on its bead seat.
 *
 * V = 2π² · (d/2 + w/2) · (w/2)²
 *
 * The real section is not quite round and depends on the rim: right to about a tenth.
 */
export function tyreVolumeMl({ widthMm, beadMm }: TyreSize): number {
  const section = widthMm / 2
  return (2 * Math.PI ** 2 * (beadMm / 2 + section) * section ** 2) / 1000
}

/**
 * Pressure a tyre of a width is usually ridden at with bags on, bar: 2.4 at 50 mm, less than
 * in proportion for wider ones. Planning value.
 */
export function defaultBar(widthMm: number): number {
  return 2.4 * (50 / widthMm) ** 1.3
}
