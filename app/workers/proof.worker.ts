import { prove, type Proof } from '#core/bound'
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

const service = { proveKit }
export type ProveService = typeof service
expose(service)
