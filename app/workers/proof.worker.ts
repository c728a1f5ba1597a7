import { boundLine, prove, type BoundLine, type Proof } from '#core/bound'
import type { FrontierKit } from '#core/frontier'
import { indexLedger, type Ledger } from '#core/ledger'
import type { KitChoice } from '#core/search'
import { expose } from 'comlink'
import loadHighs from 'highs'
import wasmUrl from 'highs/runtime?url'

/** Proves how far a kit can be from the best; the bound on its way down is told as it goes. */
async function proveKit(
  ledger: Ledger,
  shown: KitChoice,
  onBound: (boundNetH: number, seconds: number) => void,
): Promise<Proof> {
  const highs = await loadHighs({ locateFile: () => wasmUrl })
  let told = -Infinity
  return prove(indexLedger(ledger), shown, highs, {
    seconds: 60,
    onProgress: (boundNetH, seconds) => {
      if (seconds - told > 0.1) {
        told = seconds
        onBound(boundNetH, seconds)
      }
      return false
    },
  })
}

/** So long each price of the frontier is given: most of what can be proved is proved by then. */
const secondsEach = 4

/** Bounds a frontier from below, price by price, telling each line as it is found. */
async function boundFrontier(
  ledger: Ledger,
  kits: readonly FrontierKit[],
  onLine: (line: BoundLine) => void,
): Promise<void> {
  const highs = await loadHighs({ locateFile: () => wasmUrl })
  for (const kit of kits) if (kit.gramsPerHour > 0) onLine(boundLine(ledger, kit, highs, secondsEach))
}

const service = { proveKit, boundFrontier }
export type ProveService = typeof service
expose(service)
