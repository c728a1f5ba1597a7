<script setup lang="ts">
import { catalogue } from '#catalogue'
import { leaveStance, stances, takeStance, type Stance } from '#core/stances'
import { chanceInWords, hoursInWords, movedInWords } from '#wording'
import { computed } from 'vue'
import { useStances } from '../../stores/stances'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** Schools of thought side by side: what each would pack on this road, to be taken up, mixed and given up. */
const store = useTripStore()
const schools = useStances()
const { grams } = useView()
schools.watchKit()

const isTaken = (id: string) => store.openTrip.dials.stances.some((stance) => stance.id === id)
function toggle(stance: Stance) {
  const trip = store.openTrip
  if (isTaken(stance.id)) store.edit(`give up: ${stance.name}`, leaveStance(trip, stance.id))
  else store.edit(`take up: ${stance.name}`, takeStance(trip, stance, catalogue))
}
/** Whether there is anything in it that the plan has not got anyway. */
const isNothing = (stance: Stance) => !isTaken(stance.id) && stance.changes(store.openTrip, catalogue).length === 0

const rows = computed(() =>
  [undefined, ...stances].map((stance) => {
    const standing = schools.found.find((each) => each.stance === (stance?.id ?? null))
    const moved = schools.moved.get(stance?.id ?? null) ?? []
    return {
      stance,
      standing,
      comes: movedInWords(moved, 'comes'),
      stays: movedInWords(moved, 'stays'),
    }
  }),
)
</script>

<template>
  <div class="p-4">
    <p class="max-w-prose text-sm text-soft">
      Where experienced riders disagree, each school is a stance: dials and beliefs that you can take up, mix and give
      up. What each would pack on this road stands here with its hours by its own beliefs, and by yours.
    </p>
    <p v-if="schools.isBusy" role="status" class="mt-2 text-sm text-soft">
      Weighing what each would pack: {{ schools.found.length }} of {{ stances.length + 1 }} …
    </p>
    <div class="head mt-4 grid gap-x-3 pb-1 text-xs text-soft max-md:hidden" aria-hidden="true">
      <span>stance</span><span class="text-right">carried</span><span class="text-right">lost, as it sees it</span
      ><span class="text-right">stranded</span><span class="text-right">lost, as you see it</span><span />
    </div>
    <ul class="border-t border-line" aria-label="Stances side by side">
      <li
        v-for="{ stance, standing, comes, stays } in rows"
        :key="stance?.id ?? ''"
        class="border-b border-line py-2"
        :class="stance && isTaken(stance.id) ? 'bg-petrol-wash' : ''"
      >
        <div class="head grid items-baseline gap-x-3 gap-y-1">
          <span class="name min-w-0">
            <strong class="block">{{ stance?.name ?? 'Your plan as it is' }}</strong>
            <span v-if="stance" class="block text-xs text-soft">{{ stance.belief }}</span>
          </span>
          <template v-if="standing">
            <span class="figure"
              ><span class="md:hidden">carried </span
              ><span class="figures font-semibold">{{ grams(standing.kit.massG) }}</span></span
            >
            <span class="figure"
              ><span class="md:hidden">lost, as it sees it </span
              ><span class="figures">{{ hoursInWords(standing.kit.promiseH) }}</span></span
            >
            <span class="figure"
              ><span class="md:hidden">stranded </span
              ><span class="figures">{{ chanceInWords(standing.kit.stranded) }}</span></span
            >
            <span class="figure"
              ><span class="md:hidden">lost, as you see it </span
              ><span class="figures">{{ hoursInWords(standing.hereH) }}</span></span
            >
          </template>
          <span v-else class="md:col-span-4 text-right text-sm text-soft max-md:text-left">…</span>
          <span class="act">
            <span v-if="stance && isNothing(stance)" class="text-xs text-soft">your plan is so already</span>
            <button
              v-else-if="stance"
              type="button"
              class="button min-h-7! w-full justify-center"
              :class="isTaken(stance.id) ? 'border-petrol! bg-petrol! text-on-petrol!' : ''"
              :aria-pressed="isTaken(stance.id)"
              :aria-label="`${stance.name}: ${isTaken(stance.id) ? 'taken up' : 'take it up'}`"
              @click="toggle(stance)"
            >
              {{ isTaken(stance.id) ? 'taken up' : 'take it up' }}
            </button>
          </span>
        </div>
        <p v-if="standing?.isTaken" class="mt-1 text-xs text-soft">The figures are those without it.</p>
        <p v-if="comes" class="mt-1 text-xs"><span class="text-soft">and</span> {{ comes }}</p>
        <p v-if="stays" class="mt-0.5 text-xs"><span class="text-soft">without</span> {{ stays }}</p>
      </li>
    </ul>
    <p class="mt-2 max-w-prose text-xs text-soft">
      Common practice, no source; the numbers of each are planning values. Given up, all is as it was, but for what you
      changed by hand since.
    </p>
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.head {
  grid-template-columns: minmax(0, 1fr) 4.5rem 6.2rem 4.5rem 6.4rem 6.5rem;
}
.figure {
  @apply text-right text-sm;
}
@media (max-width: 47.99rem) {
  .head {
    grid-template-columns: 1fr 1fr;
  }
  .name,
  .act {
    grid-column: 1 / -1;
  }
  .figure {
    @apply text-left text-xs text-soft;
  }
}
</style>
