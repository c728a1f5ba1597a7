<script setup lang="ts">
import { legBetween, mostLegs, spotsOfCard, withoutPlace, withSpotMoved, type CardSpot } from '#core/road'
import { faultLines, type TripCard } from '#core/trip'
import { nth } from '#core/validation'
import { Plus } from '@lucide/vue'
import { computed, nextTick, ref } from 'vue'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'
import RouteCardLeg from './RouteCardLeg.vue'
import RouteCardPlan from './RouteCardPlan.vue'
import { cardOf, draftOf, nextLeg, type DraftLeg } from './route-card-draft'

/** A road without a file: its places written one under the other, with what lies between, or drawn. */
const props = defineProps<{ card: TripCard | undefined; refused: readonly string[] }>()
const emit = defineEmits<{ lay: [card: TripCard]; close: [] }>()
const { km, climb } = useView()

const draft = ref(draftOf(props.card))
const chosen = ref(0)
const lines = ref<string[]>([])
/** What is not said yet is drawn where it would begin. */
const drawnLegs = computed(() => draft.value.legs.map((leg) => ({ ...leg, km: leg.km ?? 0 })))
const lengthKm = computed(() => drawnLegs.value.reduce((sum, leg) => sum + leg.km, 0))
const climbM = computed(() => draft.value.legs.reduce((sum, { upM }) => sum + (upM ?? 0), 0))
const alongKm = (i: number) => drawnLegs.value.slice(0, i + 1).reduce((sum, leg) => sum + leg.km, 0)

function put(i: number, leg: DraftLeg) {
  draft.value.legs[i] = leg
}
function addByName() {
  draft.value.legs.push(nextLeg(draft.value.legs))
  void focusLeg(draft.value.legs.length - 1)
}
async function focusLeg(i: number) {
  chosen.value = i + 1
  await nextTick()
  document.getElementById(`leg-${i}`)?.focus()
}
/** A press on the paper says where the last place lies, if nobody said yet; else it is another one. */
function addBySpot(spot: CardSpot) {
  const { legs } = draft.value
  const last = legs.at(-1)
  if (last?.km !== null && legs.length < mostLegs) legs.push(nextLeg(legs))
  const end = legs.length - 1
  legs[end] = { ...nth(legs, end), ...legBetween(nth(spotsOfCard(drawnLegs.value), end), spot) }
  chosen.value = end + 1
}
function move(place: number, spot: CardSpot) {
  draft.value.legs = withSpotMoved(drawnLegs.value, place, spot)
}
function remove(i: number) {
  draft.value.legs = withoutPlace(drawnLegs.value, i + 1).map((leg) => ({ ...leg, km: leg.km || null }))
  if (draft.value.legs.length === 0) draft.value.legs.push(nextLeg([]))
}
function lay() {
  try {
    lines.value = []
    emit('lay', cardOf(draft.value))
  } catch (error) {
    lines.value = faultLines(error) ?? [String(error)]
  }
}
</script>

<template>
  <BaseDialog open title="The road, written down" wide must-answer @close="emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="lay">
      <RouteCardPlan
        v-model:chosen="chosen"
        :legs="drawnLegs"
        :begin="draft.begin.name"
        @add="addBySpot"
        @move="move"
      />
      <p class="text-xs text-soft">
        Press on the paper for the next place, or write places below. Legs are straight; a place without a name is a
        bend.
      </p>
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="block text-sm text-soft"
          >Name of the road
          <input v-model="draft.name" class="field mt-1 text-ink" maxlength="200" placeholder="may be left out" />
        </label>
        <label class="block text-sm text-soft"
          >Where it begins, for the light of day
          <input
            v-model="draft.begin.position"
            class="field figures mt-1 text-ink"
            maxlength="80"
            placeholder="57.12, -33.45; left out: 45° N"
          />
        </label>
      </div>
      <div
        class="legs hidden grid-cols-(--leg) gap-2 px-0.5 text-xs text-soft sm:grid [&>*]:self-end"
        aria-hidden="true"
      >
        <span>place</span><span>from the one before</span><span>direction</span><span>up</span><span>down</span>
      </div>
      <ol class="legs border-t border-line sm:-mt-2" aria-label="Places">
        <li class="flex items-center gap-2 border-b border-line py-1.5">
          <label class="min-w-0 flex-1"
            ><span class="sr-only">First place</span>
            <input v-model="draft.begin.name" class="field" maxlength="120" placeholder="first place" />
          </label>
          <span class="figures text-sm text-soft">{{ km(0) }}</span>
        </li>
        <RouteCardLeg
          v-for="(leg, i) in draft.legs"
          :id="`leg-${i}`"
          :key="i"
          :leg="leg"
          :number="i + 2"
          :along-km="alongKm(i)"
          :chosen="chosen === i + 1"
          :removable="draft.legs.length > 1"
          @put="put(i, $event)"
          @remove="remove(i)"
          @focusin="chosen = i + 1"
        />
      </ol>
      <button type="button" class="button" :disabled="draft.legs.length >= mostLegs" @click="addByName">
        <Plus :size="15" aria-hidden="true" />A place further on
      </button>
      <FaultLines :lines="[...lines, ...refused]" title="The road is not laid yet." />
      <div class="flex flex-wrap items-center justify-end gap-2 border-t border-line pt-3">
        <p class="figures mr-auto text-sm" role="status">
          {{ km(lengthKm) }}<template v-if="climbM">, {{ climb(climbM) }} up</template>
        </p>
        <button type="button" class="button" @click="emit('close')">Leave it</button>
        <button type="submit" class="button button-main">Lay this road</button>
      </div>
    </form>
  </BaseDialog>
</template>

<style scoped>
.legs {
  --leg: minmax(0, 1fr) 6rem 6.5rem 6rem 6rem 6.5rem;
}
</style>
