<script setup lang="ts">
import { catalogue } from '#catalogue'
import { criteria, goesInside, mostCandidates, type CandidateReport } from '#core/candidates'
import type { CatalogueItem } from '#core/bench'
import { formatMoney } from '#core/money'
import { itemsPrice } from '#core/reference'
import { costByUse } from '#core/shed'
import { nth } from '#core/validation'
import { amountInWords, coverageWords, fitReasonWords, hoursInWords, knownPriceInWords } from '#wording'
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useTripShed } from '../../composables/useTripShed'
import { useCandidates, usualSets, type ToolRef } from '../../stores/candidates'
import { useShed } from '../../stores/shed'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import FitMark from '../bikes/FitMark.vue'
import { localeOfApp } from '../common/locale-of-app'
import ToolChoice from './ToolChoice.vue'

/** Two to five tools or sets side by side: what each turns on these bikes, what it leaves to be added, what it comes to. */
const store = useTripStore()
const tried = useCandidates()
const { things: owned } = useShed()
const { reference } = useTripShed()
const { grams, system } = useView()
tried.watchPlan()

const hasHeads = ({ heads }: { readonly heads: readonly unknown[] }) => heads.length > 0
/** All tools that can be chosen, by where they are. */
const choices = computed(() =>
  [
    { name: 'on the bench', prefix: 'bench', things: store.openTrip.bench },
    { name: 'in the shed', prefix: 'shed', things: owned.value },
    { name: 'in the catalogue', prefix: 'kind', things: catalogue.items },
  ].map(({ name, prefix, things }) => ({
    name,
    tools: things.filter(hasHeads).map((thing) => ({ ref: `${prefix}:${thing.id}` as ToolRef, words: thing.name })),
  })),
)
function add(index: number, ref: ToolRef) {
  tried.put(tried.sets.map((tools, i) => (i === index && !tools.includes(ref) ? [...tools, ref] : tools)))
}
function drop(index: number, ref: ToolRef) {
  tried.put(
    tried.sets
      .map((tools, i) => (i === index ? tools.filter((each) => each !== ref) : tools))
      .filter((tools, i) => i !== index || tools.length > 0),
  )
}
const begin = (ref: ToolRef) => tried.put([...tried.sets, [ref]])

const money = (price: number) => formatMoney(price, store.openTrip.dials.currency, localeOfApp)
/** What things of the catalogue cost, as this trip knows. */
const priceInWords = (items: readonly CatalogueItem[]) =>
  knownPriceInWords(itemsPrice(items, store.openTrip.dials), store.openTrip.dials.currency, localeOfApp)
/** What a set costs to get, and what one use has cost of what is owned of it. */
function priceOf(tools: readonly ToolRef[]): string {
  const all = tools.map((tool) => ({ tool, own: tried.ownedOf(tool) }))
  const missing = all
    .filter(({ own }) => !own)
    .flatMap(({ tool }) => reference.value.items.find(({ id }) => id === tried.thingOf(tool)?.from) ?? [])
  const cost = costByUse(all.flatMap(({ own }) => own ?? []))
  const byUse = cost === null ? '' : `, ${money(cost)} a use so far`
  return all.every(({ own }) => own) ? `owned${byUse}` : `${priceInWords(missing)} to get${byUse}`
}
const reportOf = (index: number): CandidateReport | undefined => tried.reports[index]
const criterionWords = {
  lightest: 'lightest',
  cheapest: 'cheapest',
  fewest: 'fewest pieces',
  hidden: 'least outside the frame',
} as const
/** The same things by several criteria are told once. */
function addedIn({ additions }: CandidateReport) {
  const told = criteria.map((criterion) => {
    const { items, massG } = additions[criterion]
    return {
      words: items.map(({ name }) => name).join(', '),
      inside: items
        .filter(goesInside)
        .map(({ name }) => name)
        .join(', '),
      massG,
      price: priceInWords(items),
      criteria: [criterionWords[criterion]],
    }
  })
  return told.reduce<typeof told>((kept, each) => {
    const same = kept.find(({ words }) => words === each.words)
    if (same) same.criteria.push(...each.criteria)
    else kept.push(each)
    return kept
  }, [])
}
/** Hours lost with it beside those with the first. */
function differenceOf({ kit }: CandidateReport): string {
  const first = reportOf(0)
  const moreH = first ? kit.promiseH - first.kit.promiseH : 0
  if (Math.abs(moreH) < 1 / 7200) return ''
  return `${hoursInWords(Math.abs(moreH))} ${moreH > 0 ? 'more' : 'less'} than with the first`
}

const showsAll = ref(false)
/** Every bolt of the bikes, with what each candidate does about it. */
const rows = computed(() => {
  const first = reportOf(0)
  if (!first || tried.reports.length < tried.sets.length) return []
  return first.fasteners
    .map(({ bike, fastener }, i) => ({
      bike: store.openTrip.bikes.find(({ id }) => id === bike)?.name ?? bike,
      fastener,
      fits: tried.reports.map(({ fasteners }) => nth(fasteners, i)),
    }))
    .filter(({ fits }) => showsAll.value || new Set(fits.map(wordsOf)).size > 1)
})
type Fit = CandidateReport['fasteners'][number]
function wordsOf({ coverage, best, isEasy }: Fit): string {
  if (coverage !== 'turned')
    return best && best.reason !== 'wrong-profile' ? fitReasonWords[best.reason] : coverageWords[coverage]
  if (best?.verdict === 'awkward') return fitReasonWords[best.reason]
  return isEasy ? 'with ease' : `pulling ${amountInWords(best?.handN ?? 0, 'force', system.value)}`
}
const reachOf = ({ spareReachMm, fastener }: Fit) =>
  spareReachMm !== null && fastener.recessMm > 0 ? `, reaches ${Math.round(spareReachMm)} mm farther than it must` : ''
const markOf = ({ coverage, best }: Fit) =>
  coverage === 'turned'
    ? best?.verdict === 'awkward'
      ? 'awkward'
      : 'turns'
    : best?.verdict === 'damages'
      ? 'damages'
      : ''
</script>

<template>
  <div class="p-4">
    <p class="max-w-prose text-sm text-soft">
      Tools or sets side by side, owned or not: which bolts of these bikes each turns by itself, what it leaves to be
      added, and the best kit that has it and none of the others. Torques are the makers’ to give; brakes, steering and
      carbon deserve a mechanic’s eye.
    </p>
    <div v-if="!tried.sets.length" class="mt-4">
      <button type="button" class="button button-main" @click="tried.put(usualSets)">
        A folding tool, a ratchet with bits, single keys
      </button>
    </div>
    <ToolChoice
      v-if="tried.sets.length < mostCandidates"
      class="mt-3 max-w-sm"
      :label="tried.sets.length ? 'Beside them' : 'Or begin with'"
      :groups="choices"
      @add="begin"
    />
    <p v-if="tried.isBusy" role="status" class="mt-2 text-sm text-soft">
      Trying them: {{ tried.reports.length }} of {{ tried.sets.length }} …
    </p>

    <ol class="sets mt-4" aria-label="Tools side by side">
      <li v-for="(tools, index) in tried.sets" :key="tools.join(' ')" class="card flex flex-col gap-2 p-3">
        <h2 class="sr-only">{{ tried.candidates[index]?.name }}</h2>
        <ul class="flex flex-wrap gap-1">
          <li
            v-for="tool in tools"
            :key="tool"
            class="flex items-center gap-1 rounded-sm bg-petrol-wash py-0.5 pl-2 pr-1 text-sm [overflow-wrap:anywhere]"
          >
            {{ tried.thingOf(tool)?.name ?? 'not there any more' }}
            <button
              type="button"
              class="rounded-sm p-0.5 hover:bg-paper pointer-coarse:min-h-11 pointer-coarse:min-w-11"
              :aria-label="`Without ${tried.thingOf(tool)?.name ?? 'it'}`"
              @click="drop(index, tool)"
            >
              <X :size="13" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <ToolChoice
          :label="`Add to ${tried.candidates[index]?.name ?? 'it'}`"
          label-hidden
          :groups="choices"
          @add="add(index, $event)"
        />
        <template v-for="report in [reportOf(index)].filter((each) => each !== undefined)" :key="report.name">
          <p class="text-sm">
            <strong class="figures">{{ grams(report.massG) }}</strong>,
            {{ report.pieces === 1 ? 'one piece' : `${report.pieces} pieces` }}, {{ priceOf(tools) }}
          </p>
          <p class="text-sm">
            turns <strong class="figures">{{ report.counts.turned }}</strong> of
            <span class="figures">{{ report.fasteners.length }}</span>,
            <span class="figures">{{ report.counts.easy }}</span> with ease
          </p>
          <div class="text-sm">
            <h3 class="text-xs text-soft">For the rest must be added</h3>
            <p v-for="added in addedIn(report)" :key="added.words" class="mt-0.5">
              {{ added.words || 'nothing' }}
              <span v-if="added.words" class="block text-xs text-soft"
                >{{ grams(added.massG) }}, {{ added.price }}: {{ added.criteria.join(', ')
                }}<template v-if="added.inside">
                  (inside a handlebar’s end or a steerer: {{ added.inside }})</template
                ></span
              >
            </p>
          </div>
          <p class="mt-auto border-t border-line pt-2 text-sm">
            The best kit with it: <span class="figures">{{ grams(report.kit.massG) }}</span>,
            <strong class="figures">{{ hoursInWords(report.kit.promiseH) }}</strong> lost
            <span v-if="differenceOf(report)" class="block text-xs text-soft">{{ differenceOf(report) }}</span>
          </p>
        </template>
      </li>
    </ol>

    <section
      v-if="tried.reports.length && tried.reports.length === tried.sets.length"
      class="mt-6"
      aria-labelledby="bolts"
    >
      <div class="flex flex-wrap items-baseline justify-between gap-2">
        <h2 id="bolts" class="text-base">Bolt by bolt</h2>
        <button type="button" class="text-sm underline pointer-coarse:min-h-11" @click="showsAll = !showsAll">
          {{ showsAll ? 'only where they differ' : 'all bolts' }}
        </button>
      </div>
      <div class="mt-2 overflow-x-auto" tabindex="0" role="group" aria-label="Bolt by bolt">
        <table class="named-above w-full text-sm" :style="{ '--columns': tried.reports.length }">
          <thead>
            <tr class="text-left text-xs text-soft">
              <th class="corner min-w-36 pr-3 font-normal">bolt</th>
              <th v-for="report in tried.reports" :key="report.name" class="min-w-32 pr-3 align-bottom font-normal">
                {{ report.name }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ bike, fastener, fits } in rows"
              :key="`${bike} ${fastener.id}`"
              class="border-t border-line align-top"
            >
              <th scope="row" class="py-1 pr-3 text-left font-normal">
                {{ fastener.name }}<span class="block text-xs text-soft">{{ bike }}</span>
              </th>
              <td v-for="(fit, i) in fits" :key="i" class="py-1 pr-3">
                <span class="flex items-start gap-1.5"
                  ><svg class="mt-0.5 size-4 shrink-0" viewBox="-7 -7 14 14" aria-hidden="true">
                    <FitMark :mark="markOf(fit)" /></svg
                  ><span class="text-xs">{{ wordsOf(fit) }}{{ reachOf(fit) }}</span></span
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="!rows.length" class="mt-1 text-sm text-soft">They do the same on every bolt.</p>
    </section>
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.sets {
  @apply grid gap-3;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
}
</style>
