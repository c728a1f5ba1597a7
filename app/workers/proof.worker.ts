import { prove, type Choice, type Proof } from '#core/choose'
import type { Ledger } from '#core/trip-ledger'
import { expose } from 'comlink'
import loadHighs from 'highs'
import wasmUrl from 'highs/runtime?url'

/** Proves how far a kit can be from the best; the bound on its way down is told as it goes. */
async function proveKit(
  ledger: Ledger,
  shown: Choice,
  onBound: (boundNetH: number, seconds: number) => void,
): Promise<Proof> {
  const highs = await loadHighs({ locateFile: () => wasmUrl })
  let told = -Infinity
  return prove(ledger, shown, highs, {
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
