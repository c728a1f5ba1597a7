import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { prove } from '#core/bound'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import loadHighs from 'highs'
import { expect, it } from 'vitest'
import { tripSizeLedger } from '../trip-size-ledgers'
import { isFull, judged, seed } from './judged'

/** So long HiGHS may take for one ledger. */
const seconds = isFull ? 60 : 15

it('no kit is better by much than the chosen one: the bound of HiGHS', { timeout: 1_000_000 }, async () => {
  const demo = demoTrip()
  const ledgers = [
    ledgerOfTrip(demo, surveyRoad(demo.road.points), catalogue).ledger,
    ...Array.from({ length: isFull ? 5 : 0 }, (_, i) => tripSizeLedger(seed + i)),
  ]
  const highs = await loadHighs()
  const proofs = ledgers.map((document) => {
    const ledger = indexLedger(document)
    const kit = bestKit(ledger)
    const proof = prove(ledger, kit, highs, { seconds })
    expect(proof.boundNetH).toBeGreaterThan(kit.netH - 1e-5)
    return proof
  })
  const [ofDemo, ...others] = proofs.map(({ gap }) => gap)
  expect(ofDemo).toBeLessThan(0.08)
  const inWords = (share: number) => `${(100 * share).toFixed(1)} %`
  judged('bounds', [
    `After at most ${seconds} s the bound lies above what the chosen kit of the demo saves by ${inWords(nth(proofs, 0).gap)} (after ${nth(proofs, 0).seconds.toFixed(0)} s); on ${others.length} random ledgers as long as a trip’s by ${others.map(inWords).join(', ')}.`,
  ])
})
