<script setup lang="ts">
import { catalogue } from '#catalogue'
import { formatMoney, planningCurrency } from '#core/money'
import { faultLines } from '#core/trip'
import { FileDown, MapPinned, PackagePlus } from '@lucide/vue'
import { entryInWords, endingWords, fixInWords, hoursInWords } from '#wording'
import { computed, ref, shallowRef } from 'vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import FilePicker from '../../../components/common/FilePicker.vue'
import LearnedTable from '../../../components/look-back/LearnedTable.vue'
import PutAway from '../../../components/look-back/PutAway.vue'
import { useLookBackDeeds } from '../../../composables/useLookBackDeeds'
import { useRequest } from '../../../composables/useRequest'
import { useLookBack } from '../../../stores/look-back'
import { usePerson } from '../../../stores/person'
import { useTripStore } from '../../../stores/trip'
import { useView } from '../../../stores/view'

/** After the ride: what was used, missed, never touched; what is believed now; and where the next kit starts. */
const store = useTripStore()
const lookBack = useLookBack()
lookBack.watchTrip()
const deeds = useLookBackDeeds()
const { isGuest } = usePerson()
const { km, grams } = useView()
const { busy, lines, attempt } = useRequest()
const told = ref('')
const ticked = shallowRef<ReadonlySet<string>>(new Set())

const lessons = computed(() => lookBack.found?.lessons)
/** The kit of this trip is the last that was looked back on. */
const kit = computed(() => lessons.value?.kits.at(-1))
const history = computed(() => lookBack.found?.history)
const along = (trips: readonly boolean[]) => `along on ${trips.filter(Boolean).length} of ${trips.length}`
const inAllKm = computed(() => lookBack.found?.trips.reduce((sum, trip) => sum + trip.km, 0) ?? 0)
const hazardName = (id: string) => catalogue.hazards.find((hazard) => hazard.id === id)?.name ?? id
const came = computed(() => lessons.value?.rates.filter(({ failures }) => failures > 0) ?? [])
const quiet = computed(() => lessons.value?.rates.filter(({ failures }) => failures === 0) ?? [])
const times = (count: number) => (count === 1 ? 'once' : `${count} times`)

const rateRows = computed(() =>
  came.value.map(({ hazard, failures, thousandKm, before, after, bySurface }) => ({
    key: hazard,
    name: hazardName(hazard),
    seen: [
      `${times(failures)}, on what counts as ${km(1000 * thousandKm)}`,
      ...bySurface.map((each) => `${each.surface}: ${times(each.failures)} on ${km(1000 * each.thousandKm)}`),
    ].join('; '),
    before,
    after,
    values: [`hazards.${hazard}.per1000km`],
  })),
)
const lifeRows = computed(() =>
  (lessons.value?.lives ?? []).map(({ hazard, ended, before, after }) => ({
    key: hazard,
    name: hazardName(hazard),
    seen: `${ended === 1 ? 'one' : ended} that failed`,
    before,
    after,
    values: [`hazards.${hazard}.lifeKm`],
  })),
)
const fixRows = computed(() =>
  (lessons.value?.fixes ?? []).map(({ fix, done, held, before, after, timed, minutesBefore, minutesAfter }) => ({
    key: fix,
    name: fixInWords(fix, catalogue),
    seen: [
      `held ${held} of ${done}`,
      ...(timed > 0 ? [`${Math.round(minutesBefore)} min planned, ${Math.round(minutesAfter)} now`] : []),
    ].join('; '),
    before,
    after,
    values: [...(done > 0 ? [`fixes.${fix}.holds`] : []), ...(timed > 0 ? [`fixes.${fix}.minutes`] : [])],
  })),
)
const handRows = computed(() =>
  (lessons.value?.hands ?? []).map(({ rider, technique, tries, could, before, after }) => ({
    key: `${rider} ${technique}`,
    name: `${rider}: ${catalogue.techniques.find(({ id }) => id === technique)?.name ?? technique}`,
    seen: `${could} of ${tries} tries`,
    before,
    after,
    values: [],
  })),
)
const perThousand = (value: number) => `${Number(value.toPrecision(2))} a 1000 km`
const perCent = (value: number) => `${Math.round(100 * value)} %`
const kindName = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind

/** What the next kit would take of a thing by what was learned. */
const nextOf = (thing: string) => lookBack.next?.things.find((each) => each.thing === thing)
const nextWords = (thing: string) => {
  const next = nextOf(thing)
  return next ? `next time ${next.after} instead of ${next.before}` : ''
}
/** What it would cost as the plan stands, where that is not the same in words. */
const insteadOf = computed(() => {
  if (!lookBack.next) return ''
  const { promiseBeforeH, promiseAfterH } = lookBack.next
  const before = hoursInWords(promiseBeforeH)
  return hoursInWords(promiseAfterH) === before ? ' as before' : ` instead of ${before}`
})
const otherwise = computed(() =>
  (lookBack.next?.things ?? []).map((next) => ({
    ...next,
    name: store.openTrip.bench.find(({ id }) => id === next.thing)?.name ?? next.thing,
  })),
)

const chosen = computed(() => (lessons.value?.values ?? []).filter(({ key }) => ticked.value.has(key)))
const takeOver = (inAll: boolean) =>
  attempt(async () => {
    const many = chosen.value.length
    const others = await deeds.takeOver(chosen.value, inAll)
    ticked.value = new Set()
    told.value = `${many === 1 ? 'One value is' : `${many} values are`} taken over${others > 0 ? `, and in ${others} other trips` : ''}.`
  })
const nextName = ref('')
const begin = () =>
  attempt(async () => {
    await deeds.beginNext(nextName.value.trim() || `${store.openTrip.name}, again`)
  })
async function take(file: File) {
  told.value = ''
  lines.value = []
  try {
    const count = deeds.takeTable(await file.text())
    told.value =
      count === 0 ? 'Every entry is there already.' : `${count} ${count === 1 ? 'entry' : 'entries'} taken in.`
  } catch (error) {
    const faults = faultLines(error)
    if (!faults) throw error
    lines.value = faults
  }
}
const notes = computed(() => store.openTrip.log.filter((entry) => entry.note !== ''))
</script>

<template>
  <div class="pb-6">
    <header class="border-b border-line px-4 py-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Look back</h1>
        <p class="text-sm text-soft" role="status">{{ lookBack.isLooking ? 'Looking the logs through …' : told }}</p>
        <div class="ml-auto flex flex-wrap gap-2 print:hidden">
          <button v-if="store.openTrip.log.length" type="button" class="button min-h-7!" @click="deeds.writeTable">
            <FileDown :size="15" aria-hidden="true" />Log as a table
          </button>
          <button v-if="store.openTrip.log.length" type="button" class="button min-h-7!" @click="deeds.writePlaces">
            <MapPinned :size="15" aria-hidden="true" />Log as GPX
          </button>
          <FilePicker label="A log as a table" accept=".csv,text/csv" class="min-h-7!" @file="take"
            >Take a log in</FilePicker
          >
        </div>
      </div>
      <p v-if="lookBack.found" class="mt-1 text-sm" data-ridden>
        <strong class="figures">{{ km(inAllKm) }}</strong> ridden<template v-if="lookBack.found.trips.length > 1">
          on {{ lookBack.found.trips.length }} trips</template
        >. What was learned is drawn from the logs and stands beside what was planned; nothing of it is taken over by
        itself.
      </p>
      <label
        v-if="!isGuest && lookBack.hasSetOff"
        class="mt-1 inline-flex items-center gap-2 text-sm pointer-coarse:min-h-11"
      >
        <input v-model="lookBack.isOverAll" type="checkbox" class="size-4 accent-petrol" />Over all my trips
      </label>
    </header>
    <FaultLines v-if="lookBack.failure" class="m-4" :lines="[lookBack.failure]" />
    <FaultLines v-if="lines.length" class="m-4" :lines="lines" />
    <p v-if="!lookBack.hasSetOff" class="max-w-prose px-4 py-4 text-sm text-soft">
      Nobody has set off yet. Set off on the Trail, and what you log there is looked back on here: what was used, what
      was missed, and what the next kit should be. A log that was kept elsewhere can be taken in as a table.
    </p>
    <template v-else-if="lessons && kit">
      <div class="grid gap-x-6 border-b border-line px-4 py-4 md:grid-cols-3">
        <section aria-labelledby="used-title">
          <h2 id="used-title" class="text-lg">Used</h2>
          <p v-if="kit.used.length === 0" class="text-sm text-soft">Nothing of the kit was.</p>
          <ul>
            <li v-for="thing in kit.used" :key="thing.thing" class="border-t border-line py-1.5 text-sm">
              <span class="font-semibold">{{ thing.name }}</span>, {{ times(thing.times) }}
              <span v-if="thing.hazards.length" class="block text-soft">{{
                thing.hazards.map(hazardName).join(', ')
              }}</span>
              <span v-if="nextWords(thing.thing)" class="block text-brass">{{ nextWords(thing.thing) }}</span>
            </li>
          </ul>
        </section>
        <section aria-labelledby="missed-title">
          <h2 id="missed-title" class="text-lg">Missed</h2>
          <p v-if="kit.missed.length === 0" class="text-sm text-soft">Nothing was.</p>
          <ul>
            <li v-for="(each, i) in kit.missed" :key="i" class="border-t border-line py-1.5 text-sm">
              <template v-if="each.kind === 'got'"
                ><span class="font-semibold">{{ each.name }}</span
                >, {{ each.how }} on the way</template
              >
              <template v-else
                ><span class="inline-block font-semibold first-letter:uppercase">{{ hazardName(each.hazard) }}</span
                >: {{ endingWords[each.ending] }}</template
              >
            </li>
          </ul>
        </section>
        <section aria-labelledby="untouched-title">
          <h2 id="untouched-title" class="text-lg">Never touched</h2>
          <p class="text-sm text-soft">
            No reason by itself to leave it at home: what never came is insured against as well.
          </p>
          <ul>
            <li v-for="thing in kit.neverTouched" :key="thing.thing" class="border-t border-line py-1.5 text-sm">
              {{ thing.along > 1 ? `${thing.along} × ` : '' }}{{ thing.name }}
              <span v-if="nextWords(thing.thing)" class="block text-brass">{{ nextWords(thing.thing) }}</span>
            </li>
          </ul>
        </section>
      </div>
      <LearnedTable
        v-model="ticked"
        title="How often it came"
        about="Failures for a thousand km of plain road on a plain bike; above as planned, below as it is believed now."
        :rows="rateRows"
        :in-words="perThousand"
      />
      <section v-if="quiet.length" class="border-b border-line px-4 py-4" aria-labelledby="quiet-title">
        <details>
          <summary class="pointer-coarse:min-h-11 pointer-coarse:content-center">
            <h2 id="quiet-title" class="inline text-lg">Never came</h2>
            <span class="ml-2 text-sm text-soft">{{ quiet.length }}, which keep what is believed of them</span>
          </summary>
          <ul class="mt-2 grid gap-x-6 text-sm md:grid-cols-2">
            <li v-for="rate in quiet" :key="rate.hazard" class="flex gap-3 border-t border-line py-1">
              <span class="min-w-0 flex-1 first-letter:uppercase">{{ hazardName(rate.hazard) }}</span>
              <span class="figures shrink-0 text-soft">{{ km(rate.kmWithoutClaim) }} without</span>
            </li>
          </ul>
        </details>
      </section>
      <LearnedTable
        v-model="ticked"
        title="How long it lasted"
        about="Km of gravel that a new one lasts, in the mean. What was made new before it failed says nothing yet."
        :rows="lifeRows"
        :in-words="km"
      />
      <LearnedTable
        v-model="ticked"
        title="What held"
        about="Of a hundred that were done, so many hold; and how long it takes."
        :rows="fixRows"
        :in-words="perCent"
      />
      <LearnedTable
        v-model="ticked"
        title="Hands"
        about="How surely each brings it off. Whoever agrees says so under Crew: it is theirs to say."
        :rows="handRows"
        :in-words="perCent"
      />
      <section v-if="lessons.shops.length" class="border-b border-line px-4 py-4" aria-labelledby="shops-title">
        <h2 id="shops-title" class="text-lg">Shops that were not as told</h2>
        <ul>
          <li v-for="shop in lessons.shops" :key="shop.stop + shop.service" class="border-t border-line py-1.5 text-sm">
            <span class="font-semibold">{{ shop.name }}</span>, {{ kindName(shop.service) }}: {{ shop.found
            }}<span class="text-soft"
              >, {{ shop.planned === 'unknown' ? 'hours were not known' : `planned as ${shop.planned}` }}</span
            >
          </li>
        </ul>
      </section>
      <section v-if="notes.length" class="border-b border-line px-4 py-4" aria-labelledby="notes-title">
        <h2 id="notes-title" class="text-lg">Notes from the road</h2>
        <ul>
          <li
            v-for="entry in notes"
            :key="entry.id"
            class="border-t border-line py-1.5 text-sm [overflow-wrap:anywhere]"
          >
            <span v-if="entry.kind !== 'note'" class="text-soft"
              >{{ entryInWords(entry, store.openTrip, catalogue) }}: </span
            >{{ entry.note }}
          </li>
        </ul>
      </section>
      <section
        v-if="history && history.trips.length > 1"
        class="border-b border-line px-4 py-4"
        aria-labelledby="kits-title"
      >
        <h2 id="kits-title" class="text-lg">The kit over the trips</h2>
        <ul>
          <li
            v-for="trip in history.trips"
            :key="trip.day + trip.name"
            class="flex flex-wrap gap-x-4 border-t border-line py-1.5 text-sm"
          >
            <span class="min-w-0 flex-1 basis-40 font-semibold [overflow-wrap:anywhere]">{{ trip.name }}</span>
            <span class="figures text-soft">{{ trip.day }}</span>
            <span class="figures w-20 text-right">{{ grams(trip.massG) }}</span>
            <span class="w-40 text-soft">{{ trip.used }} of {{ trip.things }} things used</span>
          </li>
        </ul>
        <details class="mt-2">
          <summary class="text-sm pointer-coarse:min-h-11 pointer-coarse:content-center">Thing by thing</summary>
          <ul>
            <li
              v-for="thing in history.things"
              :key="thing.kind"
              class="flex flex-wrap gap-x-4 border-t border-line py-1.5 text-sm"
            >
              <span class="min-w-0 flex-1 basis-40">{{ thing.name }}</span>
              <span v-if="thing.isAskedForAgain" class="text-brass">left at home, and got on the way</span>
              <span class="text-soft">{{ along(thing.along) }}</span>
              <span class="w-28 text-right">{{ thing.times === 0 ? 'never used' : `used ${times(thing.times)}` }}</span>
              <span class="figures w-24 text-right text-soft">{{
                thing.costByUse === null ? '' : `${formatMoney(thing.costByUse, planningCurrency)} a use`
              }}</span>
            </li>
          </ul>
        </details>
      </section>
      <section class="border-b border-line px-4 py-4" aria-labelledby="take-title">
        <h2 id="take-title" class="text-lg">Take over</h2>
        <p class="text-sm text-soft">
          {{ chosen.length === 0 ? 'Tick above what you believe.' : `${chosen.length} ticked.` }} It can be undone, and
          set back where the values stand.
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            class="button button-main"
            :disabled="busy || chosen.length === 0"
            @click="takeOver(false)"
          >
            For this trip
          </button>
          <button
            v-if="!isGuest"
            type="button"
            class="button"
            :disabled="busy || chosen.length === 0"
            @click="takeOver(true)"
          >
            For all my trips
          </button>
        </div>
        <p v-if="lookBack.next" class="mt-3 text-sm" data-next>
          With all of it, the same road would cost
          <strong class="figures">{{ hoursInWords(lookBack.next.promiseAfterH) }}</strong>{{ insteadOf
          }}<template v-if="otherwise.length"
            >, and the kit would be otherwise:
            {{
              otherwise.map(({ name, before, after }) => `${name}, ${after} instead of ${before}`).join('; ')
            }}</template
          ><template v-else>, with the same kit</template>.
        </p>
      </section>
      <PutAway />
      <section class="px-4 py-4" aria-labelledby="next-title">
        <h2 id="next-title" class="text-lg">The next kit starts here</h2>
        <p class="max-w-prose text-sm text-soft">
          A new trip with these riders and bikes, and the kit as it came home: what was used up, broke or was lost is to
          be got again, and what came along on the way is there.
        </p>
        <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="begin">
          <label class="block min-w-0 flex-1 basis-60 text-sm text-soft"
            >Where to, and when
            <input
              v-model="nextName"
              class="field mt-1 text-ink"
              maxlength="120"
              :placeholder="`${store.openTrip.name}, again`"
            />
          </label>
          <button type="submit" class="button button-main" :disabled="busy">
            <PackagePlus :size="15" aria-hidden="true" />Begin it
          </button>
        </form>
      </section>
    </template>
  </div>
</template>
