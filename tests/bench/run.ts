import { prove } from '#core/bound'
import { CostsOfFailing } from '#core/availability'
import { frontier } from '#core/frontier'
import { indexLedger, termsOf } from '#core/ledger'
import { practiceWorths } from '#core/practice'
import { KitSearch } from '#core/search'
import { Simulation } from '#core/simulate'
import { ledgerOfTrip } from '#core/trip-ledger'
import { explainKit } from '#core/verdicts'
import { asToldLast, ways } from '#core/ways'
import { surveyRoad } from '#core/road'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import loadHighs from 'highs'
import { crewOfSix } from './crew-of-six'
import { benchFit } from './fit'
import { medianMs, ms, say } from './measure'
import { benchRoads } from './roads'
import { benchSplit } from './split'

/** Speed and size, in seconds and, where they can be had, in ratios: npm run bench. */
const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
const costs = new CostsOfFailing(demo, survey, catalogue)
const built = () => ledgerOfTrip(demo, survey, catalogue, costs).ledger
say('demo: ledger written, the road being known, median', ms(await medianMs(built)), '')
const ledger = built()
const indexed = indexLedger(ledger)
say(
  'demo: kit chosen for a new ledger, median',
  ms(await medianMs(() => KitSearch.forLedger(indexed).best())),
  '≤ 150 ms',
)
const search = KitSearch.forLedger(indexed)
const kit = search.best()
let [there, before]: [CostsOfFailing, KitSearch] = [costs, search]
let ticks = 0
say(
  'demo: a shop no longer mends, or does again: ledger and kit, median',
  ms(
    await medianMs(() => {
      const stops = demo.stops.map((stop) =>
        stop.id === 'quillby' && ticks % 2 === 0 ? { ...stop, services: [] } : stop,
      )
      ticks++
      const plan = { ...demo, stops }
      there = new CostsOfFailing(plan, survey, catalogue, undefined, there)
      before = KitSearch.forLedger(indexLedger(ledgerOfTrip(plan, survey, catalogue, there).ledger), before)
      before.best()
    }),
  ),
  '≤ 150 ms',
)
let turn = 0
say(
  'demo: dial turned by a hundredth, median',
  ms(await medianMs(() => search.under(termsOf({ ...ledger, gramsPerHour: 970 * 1.01 ** (turn++ % 40) })).best())),
  '≤ 50 ms',
)
say(
  'demo: verdicts and the sum, the kit being known, median',
  ms(await medianMs(() => explainKit(ledger, search))),
  '≤ 1 s',
)
say(
  'demo: frontier of 20 steps, the search being there, median',
  ms(await medianMs(() => [...frontier(ledger, 20, search)].length, 4000)),
  '≤ 2 s',
)
const practised = ledgerOfTrip(demo, survey, catalogue, costs)
say(
  'demo: every evening of practice weighed, median',
  ms(await medianMs(() => practiceWorths(practised, demo, catalogue, kit.counts).length, 4000)),
  '',
)
let told = 0
const waysMs = await medianMs(() => (told = asToldLast(ways(demo, survey, catalogue, kit.counts)).length), 4000)
say(`demo: every way that weighs nothing, ${told} of them told, median`, ms(waysMs), '')
const trips = 20_000
const simulationMs = await medianMs(() => new Simulation(indexed, kit.counts, 1).run(trips))
say('demo: drawn trips a second', `${Math.round((1000 * trips) / simulationMs)}`, '≥ 50 000')
const proof = prove(indexed, kit, await loadHighs())
say('demo: bound of HiGHS above the kit, of what it saves', `${(100 * proof.gap).toFixed(1)} %`, '≤ 5 %')

const six = crewOfSix()
const sixSurvey = surveyRoad(six.road.points)
say(
  'six riders, twelve gaps: ledger written and kit chosen, median',
  ms(
    await medianMs(() => KitSearch.forLedger(indexLedger(ledgerOfTrip(six, sixSurvey, catalogue).ledger)).best(), 4000),
  ),
  '≤ 1 s',
)

await benchSplit()
await benchFit()
await benchRoads()
