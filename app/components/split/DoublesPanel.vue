<script setup lang="ts">
import type { Double, SplitPlan } from '#core/split'
import { nth } from '#core/validation'
import { hoursInWords } from '#wording'
import { computed } from 'vue'
import { useSplitEdits } from '../../composables/useSplitEdits'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** What is carried because riders are apart, and what a second one of something would be worth. */
const props = defineProps<{ plan: SplitPlan }>()
const store = useTripStore()
const edits = useSplitEdits()
const { grams } = useView()

const most = 8
const rows = computed(() =>
  props.plan.doubles.map((double) => ({
    double,
    thing: nth(store.openTrip.bench, double.item),
    rider: nth(store.openTrip.crew, double.rider),
  })),
)
const taken = computed(() => rows.value.filter(({ double }) => double.isTaken))
const others = computed(() => rows.value.filter(({ double }) => !double.isTaken).slice(0, most))
/** What a crew that stays together would carry, and this one does not. */
const left = computed(() =>
  store.openTrip.bench.flatMap(({ id, name }, i) => {
    const fewer = nth(props.plan.kit, i) - nth(props.plan.counts, i)
    return fewer > 0 ? [{ id, name, fewer }] : []
  }),
)
const hours = (value: number) => (Math.abs(value) < 1 / 3600 ? 'nothing' : hoursInWords(value))
const worth = ({ togetherH, apartH, carryH }: Double) =>
  `${hours(apartH)} apart, ${hours(togetherH)} together; ${hours(carryH)} to carry`
</script>

<template>
  <section aria-labelledby="doubles">
    <h2 id="doubles" class="text-lg">Carried twice</h2>
    <p v-if="!plan.everParts" class="mt-1 max-w-prose text-sm text-soft">
      You are never out of reach of one another, so that nothing is worth a second one. How much you ride apart is said
      under Crew, and of single stretches on the road.
    </p>
    <template v-else>
      <p v-if="taken.length === 0" class="mt-1 text-sm text-soft">
        Nothing of what lies on the bench is worth a second one.
      </p>
      <ul v-else class="mt-2 divide-y divide-line/60" aria-labelledby="doubles">
        <li
          v-for="{ double, thing, rider } in taken"
          :key="thing.id"
          class="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1.5"
        >
          <span class="min-w-48 flex-1 text-sm"
            >{{ thing.name }} <span class="text-soft">on {{ rider.name }}, {{ grams(thing.massG) }}</span></span
          >
          <span class="text-sm text-soft">worth {{ worth(double) }}</span>
          <button
            type="button"
            class="text-sm underline print:hidden pointer-coarse:min-h-11"
            @click="edits.leave(thing, rider.id, plan)"
          >
            leave it at home
          </button>
        </li>
      </ul>
      <template v-if="others.length > 0">
        <h3 class="mt-4 text-base">Not worth its grams, or not there</h3>
        <ul class="mt-1 divide-y divide-line/60" aria-label="Would be worth">
          <li
            v-for="{ double, thing, rider } in others"
            :key="thing.id"
            class="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1.5"
          >
            <span class="min-w-48 flex-1 text-sm"
              >one more {{ thing.name }}
              <span class="text-soft">on {{ rider.name }}, {{ grams(thing.massG) }}</span></span
            >
            <span class="text-sm text-soft">{{ worth(double) }}</span>
            <button
              type="button"
              class="text-sm underline print:hidden pointer-coarse:min-h-11"
              @click="edits.double(thing, rider.id, double.isThere)"
            >
              {{ double.isThere ? 'take it' : 'lay one more and take it' }}
            </button>
          </li>
        </ul>
      </template>
      <p v-if="left.length > 0" class="mt-3 max-w-prose text-sm text-soft">
        Stays at home, as it pays only while all are together:
        {{ left.map(({ name, fewer }) => (fewer > 1 ? `${fewer} × ${name}` : name)).join(', ') }}.
      </p>
    </template>
  </section>
</template>
