<script setup lang="ts">
import { kitPrice, packedOf } from '#core/shed'
import { cutTo } from '#core/validation'
import { chanceInWords, differenceInWords, grouped, hoursInWords, knownPriceInWords } from '#wording'
import { X } from '@lucide/vue'
import { computed, onUnmounted, ref, watch } from 'vue'
import { useTripShed } from '../../composables/useTripShed'
import { placeInWords } from '../../session/words'
import { mostColumns, useKitsSideBySide, type ColumnRef } from '../../stores/kits-side-by-side'
import { useShed } from '../../stores/shed'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import { localeOfApp } from '../common/locale-of-app'
import MeasureField from '../common/MeasureField.vue'

/** Kits side by side on the same drawn trips: what each weighs, costs and loses, and how surely it differs from the first. */
const store = useTripStore()
const side = useKitsSideBySide()
const shed = useShed()
const { priceOfKind } = useTripShed()
const { grams } = useView()
side.watchKits()
onUnmounted(() => side.stop())

function nameOf(column: ColumnRef): string {
  if (column === 'now') return store.isOtherwise ? 'What is supposed' : 'The kit of now'
  if (column === 'as-it-is') return 'The plan as it is'
  if (column === 'nothing') return 'Nothing'
  if (column === 'everything') return 'All of the bench'
  if (column === 'tin') return 'The tin as it is packed'
  if (column.startsWith('light:')) return `The best up to ${grams(Number(column.slice('light:'.length)))}`
  if (column.startsWith('plan:')) return side.plans.find(({ id }) => `plan:${id}` === column)?.name ?? ''
  return side.kits.find(({ id }) => `kept:${id}` === column)?.name ?? ''
}

const all: readonly ColumnRef[] = ['now', 'nothing', 'everything']
const more = computed(() =>
  [
    ...all,
    ...(store.isSupposing ? (['as-it-is'] as const) : []),
    ...(shed.things.value.some((owned) => packedOf(owned) > 0) ? (['tin'] as const) : []),
    ...side.kits.map(({ id }): ColumnRef => `kept:${id}`),
    ...side.plans.map(({ id }): ColumnRef => `plan:${id}`),
  ].filter((column) => !side.columns.includes(column)),
)
const isFull = computed(() => side.columns.length >= mostColumns)
const added = ref<ColumnRef | ''>('')
function add() {
  if (added.value) side.add(added.value)
  added.value = ''
}
const mostG = ref(500)
const keptName = ref('')
function keep() {
  const name = keptName.value.trim().slice(0, 60)
  if (!name) return
  side.keep(name)
  keptName.value = ''
}

/** What is supposed, as somebody would call it. */
const supposedName = computed(() => {
  const [first, ...rest] = store.isOtherwise ? store.supposedChanges() : []
  if (!first) return ''
  const what = placeInWords(first.path, store.openTrip)
  return rest.length > 0 ? `${what}, and ${rest.length} more` : what
})
const planName = ref('')
watch(supposedName, (name) => (planName.value = cutTo(name, 60)), { immediate: true })
const unkeepable = ref('')
function keepPlan() {
  unkeepable.value = side.unkeepable()
  if (!unkeepable.value) side.keepPlan(planName.value.trim())
}

function priceInWords({ column, kit }: Pick<Column, 'column' | 'kit'>): string {
  const plan = side.planned(column)
  if (!plan || !kit) return ''
  const counts = plan.bench.map(({ id }) => kit.carried[id] ?? 0)
  const price = kitPrice(plan.bench, counts, shed.byId.value, plan.dials.currency, priceOfKind)
  return knownPriceInWords(price, plan.dials.currency, localeOfApp)
}

/** Each column with what is told of it; drawn trips are told of those alone that there are. */
const columns = computed(() => {
  let place = -1
  return side.toldOf.map((column, i) => {
    const kit = side.told?.kits[i]
    const isThere = kit !== undefined && 'counts' in kit
    if (isThere) place++
    return {
      column,
      name: nameOf(column),
      kit: isThere ? kit : undefined,
      why: kit && 'why' in kit ? kit.why : '',
      report: isThere ? side.told?.drawn?.reports[place] : undefined,
      // The first that there is stands for itself.
      difference: isThere && place > 0 ? side.told?.drawn?.fromFirst[place] : undefined,
    }
  })
})
type Column = (typeof columns.value)[number]
interface Row {
  readonly name: string
  readonly main?: boolean
  readonly value: (column: Column) => string
  readonly beside?: (column: Column) => string
}
const hours = (amount: number | undefined) => (amount === undefined ? '' : hoursInWords(amount))
const chance = (share: number | undefined) => (share === undefined ? '' : chanceInWords(share))
const rows: readonly Row[] = [
  { name: 'carried', main: true, value: ({ kit }) => (kit ? grams(kit.massG) : '') },
  { name: 'pieces', value: ({ kit }) => (kit ? String(kit.counts.reduce((sum, n) => sum + n, 0)) : '') },
  { name: 'costs, as known', value: priceInWords },
  { name: 'lost, as promised', main: true, value: ({ kit }) => hours(kit?.promiseH) },
  { name: 'stranded, as promised', value: ({ kit }) => chance(kit?.stranded) },
  {
    name: 'lost, as drawn',
    main: true,
    value: ({ report }) => hours(report?.meanH),
    beside: ({ difference }) => (difference ? differenceInWords(difference.hours, hoursInWords) : ''),
  },
  {
    name: 'on foot, as drawn',
    value: ({ report }) => hours(report?.walkH),
    beside: ({ difference }) => (difference ? differenceInWords(difference.walkH, hoursInWords) : ''),
  },
  {
    name: 'stranded, as drawn',
    value: ({ report }) => chance(report?.stranded),
    beside: ({ difference }) => (difference ? differenceInWords(difference.stranded, chanceInWords) : ''),
  },
]
/** Things of which not every kit has as many, by their ids: plans may have other things. */
const things = computed(() => {
  const kits = columns.value.map(({ kit }) => kit)
  if (!kits.every((kit) => kit !== undefined)) return []
  const benches = columns.value.flatMap(({ column }) => side.planned(column)?.bench ?? [])
  return [...new Map(benches.map(({ id, name }) => [id, name]))]
    .map(([id, name]) => ({ id, name, counts: kits.map(({ carried }) => carried[id] ?? 0) }))
    .filter(({ counts }) => new Set(counts).size > 1)
})

/** What a column has is carried, whatever the balance says. */
function pin({ name, kit }: Column) {
  if (!kit) return
  const bench = store.openTrip.bench.map((thing) => {
    const n = kit.carried[thing.id] ?? 0
    return { ...thing, pin: { min: n, max: n } }
  })
  store.edit(`pin: ${name}`, { bench })
}
function forget(column: ColumnRef) {
  const id = column.slice(column.indexOf(':') + 1)
  if (column.startsWith('plan:')) side.forgetPlan(id)
  else side.forget(id)
}
</script>

<template>
  <div class="p-4">
    <p class="max-w-prose text-sm text-soft">
      Kits of this bench, and other plans with the best kit of each, on the same {{ grouped(side.trips) }} drawn trips:
      what may happen to all of them happens to all alike. Differences are against the first, with the interval in which
      95 of 100 lie.
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
      <form class="flex items-end gap-2" @submit.prevent="add">
        <label class="block text-sm text-soft"
          >One more column
          <select v-model="added" class="field mt-1 text-ink" :disabled="isFull || !more.length">
            <option value="">{{ isFull ? 'five are enough' : 'choose …' }}</option>
            <option v-for="column in more" :key="column" :value="column">{{ nameOf(column) }}</option>
          </select>
        </label>
        <button type="submit" class="button" :disabled="!added || isFull">Add</button>
      </form>
      <form class="flex items-end gap-2" @submit.prevent="side.add(`light:${mostG}`)">
        <MeasureField
          class="w-36"
          label="The best up to"
          :model-value="mostG"
          amount="mass"
          :most="50000"
          @update:model-value="$event !== null && (mostG = $event)"
        />
        <button type="submit" class="button" :disabled="isFull">Add it</button>
      </form>
      <form class="flex items-end gap-2" @submit.prevent="keep">
        <label class="block text-sm text-soft"
          >Keep the kit of now as
          <input v-model="keptName" class="field mt-1 text-ink" maxlength="60" autocomplete="off" />
        </label>
        <button type="submit" class="button" :disabled="!keptName.trim()">Keep</button>
      </form>
      <form v-if="store.isOtherwise" class="flex items-end gap-2" @submit.prevent="keepPlan">
        <label class="block text-sm text-soft"
          >Keep what is supposed as a plan
          <input v-model="planName" class="field mt-1 text-ink" maxlength="60" autocomplete="off" />
        </label>
        <button type="submit" class="button" :disabled="!planName.trim()">Keep it as a plan</button>
        <span v-if="unkeepable" role="alert" class="text-sm text-madder">{{ unkeepable }}</span>
      </form>
    </div>
    <p v-if="side.failed" role="alert" class="mt-3 text-sm text-madder">{{ side.failed }}</p>
    <p v-else-if="!side.columns.length" class="mt-4 text-soft">Choose two kits or more to compare.</p>
    <p v-else role="status" class="mt-3 min-h-5 text-sm text-soft">
      {{ side.isBusy ? `Drawing trips: ${grouped(side.told?.trips ?? 0)} of ${grouped(side.trips)} …` : '' }}
    </p>
    <!-- On a narrow screen columns go on beside it. -->
    <div v-if="columns.length" class="mt-1 overflow-x-auto" role="region" aria-label="Kits side by side" tabindex="0">
      <table class="kits named-above w-full text-sm" :style="{ '--columns': columns.length }" :aria-busy="side.isBusy">
        <thead>
          <tr>
            <td class="name corner" />
            <th v-for="each in columns" :key="each.column" scope="col" class="min-w-28 align-top">
              <span class="flex items-start justify-between gap-1">
                <span class="py-1 [overflow-wrap:anywhere]">{{ each.name }}</span>
                <button
                  type="button"
                  class="button button-bare print:hidden"
                  :aria-label="`Take away: ${each.name}`"
                  @click="side.drop(each.column)"
                >
                  <X :size="15" aria-hidden="true" />
                </button>
              </span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <th scope="row" class="font-normal text-soft">{{ row.name }}</th>
            <td v-for="each in columns" :key="each.column">
              <span v-if="each.why" class="text-xs text-madder">{{ row.main ? each.why : '' }}</span>
              <template v-else>
                <span class="figures" :class="row.main ? 'text-base font-semibold' : ''">{{ row.value(each) }}</span>
                <span v-if="row.beside?.(each)" class="block text-xs">{{ row.beside(each) }}</span>
              </template>
            </td>
          </tr>
          <tr class="print:hidden">
            <td class="corner" />
            <td v-for="each in columns" :key="each.column">
              <button
                v-if="each.column.startsWith('plan:')"
                type="button"
                class="button min-h-7!"
                :aria-label="`Suppose it: ${each.name}`"
                @click="side.supposePlan(each.column.slice('plan:'.length))"
              >
                Suppose it
              </button>
              <button
                v-else-if="each.column !== 'now' && each.column !== 'as-it-is' && each.kit"
                type="button"
                class="button min-h-7!"
                :aria-label="`Pin it so: ${each.name}`"
                @click="pin(each)"
              >
                Pin it so
              </button>
              <button
                v-if="each.column.startsWith('kept:') || each.column.startsWith('plan:')"
                type="button"
                class="button min-h-7! ml-1"
                :aria-label="`Forget ${each.name}`"
                @click="forget(each.column)"
              >
                Forget
              </button>
            </td>
          </tr>
        </tbody>
        <tbody v-if="things.length">
          <tr>
            <th scope="rowgroup" :colspan="columns.length + 1" class="pt-5! text-base">What they have otherwise</th>
          </tr>
          <tr v-for="{ id, name, counts } in things" :key="id">
            <th scope="row" class="font-normal">{{ name }}</th>
            <td v-for="(n, i) in counts" :key="columns[i]?.column" class="figures" :class="n ? '' : 'text-soft'">
              {{ n || '–' }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="columns.length" class="mt-2 max-w-prose text-xs text-soft">
      Promised and drawn are two ways to reckon the same; planning values both. Kept kits and plans lie on this device;
      to have a plan here, suppose something and keep it.
    </p>
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.kits {
  @apply border-collapse;
}
.kits th,
.kits td {
  @apply border-b border-line px-2 py-1 text-left;
}
/* It stays where columns go on beside the screen. */
.kits .name,
.kits tbody th {
  @apply sticky left-0 min-w-24 bg-paper pl-0 [overflow-wrap:anywhere] sm:min-w-32;
}
</style>
