import type { Stop } from '../supply'
import type { Dials } from '../trip'

/** Hours one would wait at a stop for what is shut there: as was said of it, else as long as anywhere. */
export function mostWaitAt({ waitH }: Pick<Stop, 'waitH'>, dials: Pick<Dials, 'waitH'>): number {
  return waitH ?? dials.waitH
}
