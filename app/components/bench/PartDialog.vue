<script setup lang="ts">
import { catalogue } from '#catalogue'
import { divisible, partOf, usuallyAround, type Thing } from '#core/bench'
import { faultLines } from '#core/trip'
import { defined } from '#core/validation'
import { readClass } from '#core/supply'
import { classInWords } from '#wording'
import { computed, ref } from 'vue'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'

/** Only a part of a thing is laid down: 15 mL of a bottle, two patches out of a box. */
const props = defineProps<{ thing: Thing }>()
const emit = defineEmits<{ close: []; lay: [part: Thing, instead: boolean] }>()
const { grams } = useView()

const whole = defined(divisible(props.thing))
const unit = readClass(whole.classId, catalogue.families)?.family.unit ?? 'piece'
const amount = ref(Math.max(1, Math.round(whole.amount / 4)))
/** What lies around, once somebody has weighed it. */
const weighed = ref<{ wholeG?: number; partG?: number }>({})
const usual = computed(() => usuallyAround(props.thing, whole, amount.value > 0 ? amount.value : 1))
const around = computed(() => ({ ...usual.value, ...weighed.value }))
const id = crypto.randomUUID().slice(0, 8)

const tried = computed((): { part: Thing | undefined; lines: string[] } => {
  try {
    const name = `${props.thing.name.slice(0, 90)}: ${amount.value} ${unit}`
    return { part: partOf(props.thing, amount.value, around.value, { id, name }), lines: [] }
  } catch (error) {
    return { part: undefined, lines: faultLines(error) ?? [String(error)] }
  }
})
function lay(instead: boolean) {
  if (tried.value.part) emit('lay', tried.value.part, instead)
}
</script>

<template>
  <BaseDialog open :title="`A part of: ${thing.name}`" @close="$emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="lay(true)">
      <p class="text-sm text-soft">
        The whole one holds {{ whole.amount }} {{ unit }} of {{ classInWords(whole.classId, catalogue.families) }}. What
        is left of it stays at home.
      </p>
      <div class="grid gap-3 sm:grid-cols-3">
        <label class="block text-sm text-soft"
          >How much, {{ unit }}
          <input
            v-model.number="amount"
            type="number"
            step="any"
            min="0"
            :max="whole.amount"
            class="field figures mt-1 text-right text-ink"
          />
        </label>
        <MeasureField
          label="Carried in, empty"
          :model-value="around.partG"
          amount="mass"
          :least="0"
          :most="2000"
          @update:model-value="$event !== null && (weighed = { ...weighed, partG: $event })"
        />
        <MeasureField
          label="The whole one, empty"
          :model-value="around.wholeG"
          amount="mass"
          :least="0"
          :most="20000"
          @update:model-value="$event !== null && (weighed = { ...weighed, wholeG: $event })"
        />
      </div>
      <p v-if="usual.containers.length" class="text-xs text-soft">
        Carried in a {{ [...new Set(usual.containers.map(({ name }) => name))].join(' and a ') }}, unless you say
        otherwise. Masses are planning values: weigh your own.
      </p>
      <p v-if="tried.part" role="status">
        It weighs <strong class="figures">{{ grams(tried.part.massG) }}</strong> in place of
        <span class="figures">{{ grams(thing.massG) }}</span>.
      </p>
      <FaultLines :lines="tried.lines" />
      <p class="text-xs text-soft">
        Mark what is in it: fluids that look alike are not alike. Glue and gas stay in what they came in.
      </p>
      <div class="flex flex-wrap justify-end gap-2">
        <button type="button" class="button" @click="$emit('close')">Leave it whole</button>
        <button type="button" class="button" :disabled="!tried.part" @click="lay(false)">
          Lay it beside the whole
        </button>
        <button type="submit" class="button button-main" :disabled="!tried.part">Lay it in its place</button>
      </div>
    </form>
  </BaseDialog>
</template>
