<script setup lang="ts">
import { MessageCircleQuestion, PackagePlus, Trash2, X } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { readClass, knownFroms, type KnownFrom, type Service, type Stop } from '#core/supply'
import { visitInWords, classInWords, chanceInWords } from '#wording'
import { computed, ref } from 'vue'
import { useStopEdits } from '../../composables/useStopEdits'
import { useKitStore } from '../../stores/kit'
import TermHint from '../common/TermHint.vue'
import AskShopDialog from './AskShopDialog.vue'
import HoursField from './HoursField.vue'

/** One service at a stop: its hours, how one knows of it, what it is known to have, what was posted to it. */
const props = defineProps<{ stop: Stop; service: Service; bare?: boolean }>()
const kit = useKitStore()
const { changeService, toggleService } = useStopEdits()

const kind = computed(() => catalogue.services.find(({ id }) => id === props.service.kind))
const kindName = computed(() => kind.value?.name ?? props.service.kind)
const visit = computed(() => {
  const visited = kit.analysis?.ride?.stops.find(({ stop }) => stop === props.stop.id)
  return visited?.visits[props.stop.services.findIndex(({ kind }) => kind === props.service.kind)]
})
const sources: Record<KnownFrom, string> = {
  asked: 'asked there',
  visited: 'been there',
  map: 'from a map',
  hearsay: 'hearsay',
}
const name = (classId: string) => classInWords(classId, catalogue.families)
const asking = ref(false)
const posting = ref('')
const trades = computed(() => Object.keys(kind.value?.stocks ?? {}))
/** What may be posted: the classes this crew has to do with that go by post. */
const postable = computed(() =>
  (kit.analysis?.availability ?? [])
    .map(({ classId }) => ({ id: classId, name: name(classId) }))
    .filter(({ id }) => {
      const family = readClass(id, catalogue.families)?.family
      return family?.goesByPost && props.service.parcel[id] === undefined
    })
    .sort((a, b) => a.name.localeCompare(b.name)),
)

function put(part: Partial<Service>, what: string) {
  changeService(props.stop, props.service.kind, part, `${what} at ${props.stop.name}`)
}
function post() {
  if (posting.value) put({ parcel: { ...props.service.parcel, [posting.value]: 1 } }, 'a parcel')
  posting.value = ''
}
function amount(classId: string, event: Event) {
  const input = event.target as HTMLInputElement
  const value = Number(input.value)
  if (value > 0 && value <= 10_000) put({ parcel: { ...props.service.parcel, [classId]: value } }, 'the parcel')
  else input.value = String(props.service.parcel[classId])
}
function without(part: 'parcel' | 'stocks', classId: string, what: string) {
  const { [classId]: _, ...rest } = props.service[part]
  put({ [part]: rest }, what)
}
</script>

<template>
  <section
    :class="bare ? '' : 'gap-x-4 rounded border border-line bg-paper p-3 md:grid md:grid-cols-[6.5rem_1fr]'"
    :aria-label="`${kindName} at ${stop.name}`"
  >
    <h3 v-if="!bare" class="text-sm font-semibold max-md:mb-2 md:mt-6">{{ kindName }}</h3>
    <div class="min-w-0 space-y-2">
      <div class="flex flex-wrap items-start gap-x-4 gap-y-2">
        <HoursField
          class="min-w-60 flex-1"
          :label="`Hours of the ${kindName} at ${stop.name}`"
          :model-value="service.hours"
          :road-km="stop.roadKm"
          @update:model-value="put({ hours: $event }, 'hours')"
        />
        <div class="w-32 text-xs text-soft">
          <TermHint term="trust">how you know it</TermHint>
          <select
            class="field mt-0.5 block text-ink"
            aria-label="how you know it"
            :value="service.knownFrom"
            @change="put({ knownFrom: ($event.target as HTMLSelectElement).value as KnownFrom }, 'trust')"
          >
            <option v-for="source in knownFroms" :key="source" :value="source">{{ sources[source] }}</option>
          </select>
        </div>
      </div>
      <p v-if="visit" class="text-xs" :class="visit.found === 'shut' ? 'text-lacking' : 'text-soft'">
        When you come by: {{ visitInWords(visit) }}
      </p>
      <ul v-if="Object.keys(service.stocks).length" class="flex flex-wrap gap-1.5 text-xs">
        <li
          v-for="(chance, classId) in service.stocks"
          :key="classId"
          class="flex items-center gap-1 rounded-sm border border-line bg-well px-1.5 py-0.5"
        >
          {{ name(classId) }}: <span class="figures">{{ chanceInWords(chance) }}</span>
          <button type="button" :aria-label="`Forget ${name(classId)}`" @click="without('stocks', classId, 'stock')">
            <X :size="12" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <div class="flex flex-wrap items-center gap-2 text-sm">
        <template v-if="kind?.takesParcels">
          <span v-for="(count, classId) in service.parcel" :key="classId" class="flex items-center gap-1">
            <input
              class="field figures w-14! text-right"
              inputmode="numeric"
              :value="count"
              :aria-label="`How many: ${name(classId)}`"
              @change="amount(classId, $event)"
            />
            {{ name(classId) }}
            <button
              type="button"
              class="button button-bare"
              :aria-label="`Take ${name(classId)} out of the parcel`"
              @click="without('parcel', classId, 'a smaller parcel')"
            >
              <X :size="14" aria-hidden="true" />
            </button>
          </span>
          <select v-model="posting" class="field w-52!" :aria-label="`Post to ${stop.name}`">
            <option value="">your parcel holds …</option>
            <option v-for="option in postable" :key="option.id" :value="option.id">{{ option.name }}</option>
          </select>
          <button type="button" class="button" :disabled="!posting" @click="post">
            <PackagePlus :size="15" aria-hidden="true" />Post it
          </button>
        </template>
        <button v-if="trades.length" type="button" class="button" @click="asking = true">
          <MessageCircleQuestion :size="15" aria-hidden="true" />Ask them
        </button>
        <button
          type="button"
          class="button"
          :aria-label="`Not there: ${kindName} at ${stop.name}`"
          @click="toggleService(stop, service.kind, kindName)"
        >
          <Trash2 :size="15" aria-hidden="true" />Not there
        </button>
      </div>
    </div>
    <AskShopDialog v-if="asking" :stop="stop" :service="service" :kind-name="kindName" @close="asking = false" />
  </section>
</template>
