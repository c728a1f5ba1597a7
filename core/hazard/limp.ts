import type { Bike } from '../bike'
import type { Hazard } from './schema'

/** How much slower a wheel with a broken spoke is ridden, by its holes: fewer carry less. Planning values. */
const limpByHoles = [
  { upTo: 24, share: 0.4 },
  { upTo: 28, share: 0.2 },
  { upTo: 32, share: 0.12 },
  { upTo: Infinity, share: 0.08 },
] as const

/** How much slower a bike is ridden with a failure where it can be ridden, as a share of the hours of riding. */
export function limpShareOf(
  { limpShare, wheel }: Pick<Hazard, 'limpShare' | 'wheel'>,
  bike: Pick<Bike, 'wheels'>,
): number {
  if (limpShare !== 'by spokes') return limpShare
  const { holes } = bike.wheels[wheel ?? 'rear']
  return limpByHoles.find(({ upTo }) => holes <= upTo)?.share ?? 0
}
