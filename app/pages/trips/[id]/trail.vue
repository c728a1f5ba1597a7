<script setup lang="ts">
import { useHead } from '#imports'
import { ChevronLeft } from '@lucide/vue'
import { computed, defineAsyncComponent, type Component } from 'vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import BrokeView from '../../../components/trail/BrokeView.vue'
import CausesView from '../../../components/trail/CausesView.vue'
import EveningView from '../../../components/trail/EveningView.vue'
import HereView from '../../../components/trail/HereView.vue'
import LogView from '../../../components/trail/LogView.vue'
import MendView from '../../../components/trail/MendView.vue'
import StrandedView from '../../../components/trail/StrandedView.vue'
import TinView from '../../../components/trail/TinView.vue'
import WrittenLine from '../../../components/trail/WrittenLine.vue'
import { useTrailSight } from '../../../composables/useTrailSight'
import { useTrail } from '../../../stores/trail'
import { useTripStore } from '../../../stores/trip'
import { NuxtLink } from '#components'

// A trip is played at home, where there is time.
const RehearsalView = defineAsyncComponent(
  () => import('../../../components/trail/RehearsalView.vue') as Promise<Component>,
)

/** On the road: made for a telephone, gloves, sun and rain. */
const store = useTripStore()
const trail = useTrail()
trail.watchPlace()
const { sight, see } = useTrailSight()
// Its colours stand out more than elsewhere.
useHead({ htmlAttrs: { 'data-stage': 'trail' } })

/** What the plan still lacks before there is anything to do on the road. */
const lacks = computed(() => {
  const { road, bikes, crew } = store.openTrip
  if (road.points.length === 0) return { what: 'a road', stage: 'road' }
  if (bikes.length === 0) return { what: 'a bike', stage: 'bikes' }
  return crew.length === 0 ? { what: 'somebody who rides', stage: 'crew' } : undefined
})
/** Where one came from; where one was brought here from elsewhere, to the place itself. */
function back() {
  const state = window.history.state as { back?: unknown } | null
  if (typeof state?.back === 'string') window.history.back()
  else void see('here')
}
</script>

<template>
  <div class="mx-auto flex min-h-full max-w-xl flex-col border-line bg-paper md:border-x">
    <div v-if="lacks" class="p-4">
      <h1 class="text-2xl">Trail</h1>
      <p class="mt-2 text-base">
        Here the plan answers when something breaks on the road: what to do with what you still have. It needs
        {{ lacks.what }} first.
      </p>
      <NuxtLink :to="`/trips/${store.id}/${lacks.stage}`" class="trail-key trail-key-main mt-3"
        >Give it {{ lacks.what }}</NuxtLink
      >
    </div>
    <template v-else>
      <div class="flex-1">
        <FaultLines v-if="trail.failure" class="m-4" :lines="[trail.failure]" />
        <p v-if="!trail.place" role="status" class="p-4 text-base text-soft">Looking along the road …</p>
        <template v-else>
          <button
            v-if="sight !== 'here'"
            type="button"
            class="flex min-h-11 items-center gap-1 px-3 pt-2 text-base font-semibold"
            @click="back"
          >
            <ChevronLeft :size="20" aria-hidden="true" />Back
          </button>
          <MendView v-if="sight === 'mend'" :place="trail.place" :here="trail.here" />
          <p v-else-if="!trail.here" role="status" class="p-4 text-base text-soft">Looking along the road …</p>
          <HereView v-else-if="sight === 'here'" :here="trail.here" />
          <CausesView v-else-if="sight === 'cause'" :here="trail.here" />
          <LogView v-else-if="sight === 'log'" :here="trail.here" />
          <EveningView v-else-if="sight === 'evening'" :here="trail.here" />
          <StrandedView v-else-if="sight === 'stranded'" :here="trail.here" />
          <RehearsalView v-else-if="sight === 'rehearsal'" />
          <TinView v-else-if="sight === 'tin'" :here="trail.here" />
          <!-- What is asked for in haste is drawn before it is. -->
          <BrokeView
            v-if="trail.here && (sight === 'broke' || trail.outlook)"
            v-show="sight === 'broke'"
            :here="trail.here"
          />
        </template>
      </div>
      <nav
        v-if="trail.here && (sight === 'here' || sight === 'log' || sight === 'tin')"
        aria-label="On the road"
        class="sticky bottom-0 z-10 space-y-2 border-t border-line bg-paper px-4 py-3"
      >
        <WrittenLine />
        <button type="button" class="trail-key trail-key-broke min-h-16! w-full text-xl!" @click="see('broke')">
          It broke
        </button>
        <div class="grid grid-cols-3 gap-2">
          <button v-if="sight === 'here'" type="button" class="trail-key" @click="see('log')">Log</button>
          <button v-else type="button" class="trail-key" @click="see('here')">Here</button>
          <button type="button" class="trail-key" @click="see('evening')">Evening</button>
          <button type="button" class="trail-key" @click="see('stranded')">Stranded</button>
        </div>
      </nav>
    </template>
  </div>
</template>
