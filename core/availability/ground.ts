import { entry } from '../maths'
import type { FootAndPriceAlong } from './way-on-foot'

/** What lies ahead of each node until a failure is settled, in expectation: hours in the saddle, and km. */
export interface RidingAhead {
  readonly hours: Float64Array
  readonly km: Float64Array
}

/** So much is kept in mind of a ground. */
const most = 1000

/**
 * A road on its days, with all that failing depends on there but what may be had at which place: what has been worked out for
 * some places holds on the same ground in any plan.
 */
export class Ground {
  private readonly onFootTo = new Map<string, FootAndPriceAlong>()
  private readonly stuckBetween = new Map<string, FootAndPriceAlong>()
  private readonly ridingTo = new Map<string, RidingAhead>()

  /** @param text says all of it: where it is the same, the ground is */
  constructor(readonly text: string) {}

  /** Whether so much is kept that it had better be begun anew: of most of it nobody will ask any more. */
  get isFull(): boolean {
    return this.onFootTo.size + this.stuckBetween.size + this.ridingTo.size > most
  }

  /** @param places what the way out depends on beside the ground */
  onFoot(places: readonly unknown[], workOut: () => FootAndPriceAlong): FootAndPriceAlong {
    return entry(this.onFootTo, JSON.stringify(places), workOut)
  }

  stuck(places: readonly unknown[], workOut: () => FootAndPriceAlong): FootAndPriceAlong {
    return entry(this.stuckBetween, JSON.stringify(places), workOut)
  }

  riding(places: readonly unknown[], workOut: () => RidingAhead): RidingAhead {
    return entry(this.ridingTo, JSON.stringify(places), workOut)
  }
}
