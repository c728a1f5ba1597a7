import { expect, it } from 'vitest'
import { exactHours } from '#core/exact'
import { indexLedger } from '#core/ledger'
import { Simulation } from '#core/simulate'
import { randomKit, tinyLedger } from '../tiny-ledgers'
import { judged, seed, tries } from './judged'

it('what follows from every way a trip can go agrees with drawn trips, on tiny ledgers', () => {
  const [all, trips] = [tries(300), 20_000]
  let farthest = 0
  for (let i = 0; i < all; i++) {
    const document = tinyLedger(seed + i)
    const ledger = indexLedger(document)
    const counts = randomKit(document, seed + i)
    const exact = exactHours(ledger, counts)
    const simulation = new Simulation(ledger, counts, seed + i)
    simulation.run(trips)
    const drawn = simulation.report()
    // A share no trip had has no error of its own: one trip more or less is its measure.
    const strandedSe = Math.max(drawn.strandedSe, 1 / trips)
    const off = [
      (drawn.meanH - exact.promiseH) / drawn.seH,
      (drawn.walkH - exact.walkH) / drawn.walkSeH,
      (drawn.stranded - exact.stranded) / strandedSe,
    ].map(Math.abs)
    for (const deviations of off) expect(deviations, `seed ${seed + i}`).toBeLessThan(4)
    farthest = Math.max(farthest, ...off)
  }
  judged('promises', [
    `${all} random tiny ledgers, one random kit each: hours lost, hours on foot and the chance of being stranded, followed through everything that can come, lie within ${farthest.toFixed(1)} standard errors of ${trips} drawn trips.`,
  ])
})
