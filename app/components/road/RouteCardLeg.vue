<script setup lang="ts">
import { degreesOfWind, windOf, winds } from '#wording'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'
import type { DraftLeg } from './route-card-draft'

/** A place of a route card, and the way to it from the place before. */
const props = defineProps<{
  id: string
  leg: DraftLeg
  number: number
  alongKm: number
  chosen: boolean
  removable: boolean
}>()
const emit = defineEmits<{ put: [leg: DraftLeg]; remove: [] }>()
const { km } = useView()
const what = computed(() => props.leg.name || `place ${props.number}`)
const change = (part: Partial<DraftLeg>) => emit('put', { ...props.leg, ...part })
/** A bearing between two winds, as one draws it, stays until another is picked. */
const exact = computed(() => (props.leg.bearing % degreesOfWind === 0 ? undefined : props.leg.bearing))
</script>

<template>
  <li class="border-b border-line py-1.5" :class="chosen ? 'bg-well/60' : ''">
    <div class="grid grid-cols-4 items-center gap-2 sm:grid-cols-(--leg)">
      <label class="max-sm:col-span-2"
        ><span class="sr-only">Name of {{ what }}</span>
        <TypedField
          :id="id"
          class="field"
          maxlength="120"
          :placeholder="`place ${number}, or a bend`"
          :model-value="leg.name"
          @update:model-value="change({ name: $event })"
        />
      </label>
      <MeasureField
        class="max-sm:order-2"
        :label="`Way to ${what}`"
        label-hidden
        amount="road"
        allow-none
        :most="2000"
        :model-value="leg.km"
        @update:model-value="change({ km: $event })"
      />
      <label class="max-sm:order-2"
        ><span class="sr-only">Direction to {{ what }}</span>
        <select
          class="field px-1!"
          :value="leg.bearing"
          @change="change({ bearing: Number(($event.target as HTMLSelectElement).value) })"
        >
          <option v-if="exact !== undefined" :value="exact">{{ Math.round(exact) }}° {{ windOf(exact) }}</option>
          <option v-for="(wind, i) in winds" :key="wind" :value="i * degreesOfWind">{{ wind }}</option>
        </select>
      </label>
      <MeasureField
        class="max-sm:order-2"
        :label="`Climb to ${what}`"
        label-hidden
        amount="height"
        allow-none
        placeholder="up"
        :most="20000"
        :model-value="leg.upM"
        @update:model-value="change({ upM: $event })"
      />
      <MeasureField
        class="max-sm:order-2"
        :label="`Descent to ${what}`"
        label-hidden
        amount="height"
        allow-none
        placeholder="down"
        :most="20000"
        :model-value="leg.downM"
        @update:model-value="change({ downM: $event })"
      />
      <div class="flex items-center justify-end max-sm:order-1 max-sm:col-span-2">
        <span class="figures w-16 text-right text-sm text-soft">{{ km(alongKm) }}</span>
        <button
          type="button"
          class="button button-bare"
          :disabled="!removable"
          :aria-label="`Take ${what} off`"
          @click="emit('remove')"
        >
          <X :size="15" aria-hidden="true" />
        </button>
      </div>
    </div>
  </li>
</template>
