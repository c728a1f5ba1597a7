import { afterCutting, linksForLargest, lostGears, type ChainPath } from './length'

/**
 * How much harder the easiest gear is once links are cut out of a chain, as a share: 0.135 where 37 teeth are the most that is
 * left of 42.
 *
 * @param links of the chain as it is; null where nobody has counted, and then as many as its largest gear needs
 * @param cutOut an even number
 * @returns 0 where no gear is lost that is easier than those that are left; at most 1, also where none is left
 */
export function easyGearsLost(path: ChainPath, links: number | null, cutOut: number): number {
  if (cutOut === 0) return 0
  const whole = links ?? linksForLargest(path.chainstayMm, Math.max(...path.chainrings), Math.max(...path.sprockets))
  if (whole <= cutOut) return 1
  const easiest = (lost: readonly { readonly chainring: number; readonly sprocket: number }[]) =>
    Math.min(
      ...path.chainrings.flatMap((chainring) =>
        path.sprockets
          .filter((sprocket) => !lost.some((gear) => gear.chainring === chainring && gear.sprocket === sprocket))
          .map((sprocket) => chainring / sprocket),
      ),
    )
  const [before, after] = [easiest(lostGears(path, whole)), easiest(afterCutting(path, whole, cutOut).lost)]
  return Math.min(1, Number.isFinite(after) ? after / before - 1 : 1)
}
