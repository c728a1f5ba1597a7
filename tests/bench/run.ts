import { nth } from '#core/validation'
import { chooseFast, prove } from '#core/choose'
import { buildLedger } from '#core/trip-ledger'
import { surveyRoad } from '#core/road'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import loadHighs from 'highs'
import { bikeLikeLedger } from '../ledgers'
import { crewOfSix } from './crew-of-six'
import { benchFit } from './fit'
import { medianMs, ms, say } from './measure'
import { benchRoads } from './roads'

/** Speed and size, in seconds and, where they can be had, in ratios: npm run bench. */
const highs = await loadHighs()

const demo = demoTrip()
const demoSurvey = surveyRoad(demo.road.points)
say(
  'demo: ledger built and solved, median',
  ms(await medianMs(() => chooseFast(buildLedger(demo, demoSurvey, catalogue).ledger))),
  '≤ 50 ms',
)
const { ledger } = buildLedger(demo, demoSurvey, catalogue)
const shown = chooseFast(ledger)
const proof = prove(ledger, shown, highs)
say('demo: net value below the bound of HiGHS', `${(100 * proof.gap).toFixed(3)} %`, '≤ 1 %')
say(
  'demo: HiGHS, seconds, over the fast solver',
  `${((1000 * proof.seconds) / (await medianMs(() => chooseFast(ledger)))).toFixed(1)} ×`,
  '(not asked)',
)

const six = crewOfSix()
const sixSurvey = surveyRoad(six.road.points)
say(
  'six riders, twelve gaps: built and solved, median',
  ms(await medianMs(() => chooseFast(buildLedger(six, sixSurvey, catalogue).ledger), 4000)),
  '≤ 300 ms',
)

// The fast solver first, then HiGHS: taking turns, each would find the other's data in the processor's caches.
// The least of several runs of either is what it needs; more is what else the machine had to do.
const ledgers = Array.from({ length: 50 }, (_, i) => bikeLikeLedger(i + 1))
const answered = ledgers.map((each) => {
  const runs = Array.from({ length: 5 }, () => {
    const begun = performance.now()
    const choice = chooseFast(each)
    return { choice, took: performance.now() - begun }
  })
  return { each, choice: nth(runs, 0).choice, fastMs: Math.min(...runs.map(({ took }) => took)) }
})
const rows = answered.map(({ each, choice, fastMs }) => {
  const proofs = [0, 1].map(() => prove(each, choice, highs, { seconds: 60 }))
  const { best } = nth(proofs, 0)
  const highsMs = 1000 * Math.min(...proofs.map(({ seconds }) => seconds))
  return { gap: best.netH > 0 ? (best.netH - choice.netH) / best.netH : 0, fastMs, highsMs }
})
const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
say(
  '50 random ledgers: below the best of HiGHS, mean',
  `${(100 * mean(rows.map((row) => row.gap))).toFixed(2)} %`,
  '≤ 1 %',
)
say(
  '50 random ledgers: below the best of HiGHS, worst',
  `${(100 * Math.max(...rows.map((row) => row.gap))).toFixed(2)} %`,
  '≤ 3 %',
)
say('50 random ledgers: fast solver, mean', ms(mean(rows.map((row) => row.fastMs))), '')
say(
  '50 random ledgers: HiGHS, seconds, over the fast solver',
  `${(mean(rows.map((row) => row.highsMs)) / mean(rows.map((row) => row.fastMs))).toFixed(1)} ×`,
  '≥ 20 ×',
)

await benchFit()
await benchRoads()
