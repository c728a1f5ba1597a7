<script setup lang="ts">
import { catalogue } from '#catalogue'
import { formatMoney } from '#core/money'
import { costByUse, packedOf, type OwnedThing } from '#core/shed'
import { capabilitiesInWords, conditionInWords } from '#wording'
import { computed } from 'vue'
import ThingLine from '../bench/ThingLine.vue'
import { localeOfApp } from '../common/locale-of-app'

/** One thing of the shed. */
const props = defineProps<{ thing: OwnedThing; today: string }>()
defineEmits<{ weigh: [massG: number]; count: [count: number]; edit: []; remove: [] }>()

const does = computed(() => capabilitiesInWords(props.thing, catalogue).join(', '))
const condition = computed(() => conditionInWords(props.thing, props.today, catalogue.families))
const costs = computed(() => {
  const { price, currency, count } = props.thing
  if (price === null) return ''
  const cost = costByUse([props.thing])
  const byUse = cost === null ? '' : `, ${formatMoney(cost, currency, localeOfApp)} a use`
  return `${formatMoney(price, currency, localeOfApp)}${count > 1 ? ' each' : ''}${byUse}`
})
</script>

<template>
  <ThingLine
    :thing="thing"
    :does="does"
    :is-weighed="thing.isWeighed"
    :remove-words="`Take ${thing.name} out of the shed`"
    @weigh="$emit('weigh', $event)"
    @count="$emit('count', $event)"
    @edit="$emit('edit')"
    @remove="$emit('remove')"
  >
    <template #name>
      <span v-if="condition" class="block text-xs text-brass">{{ condition }}</span>
      <span v-if="packedOf(thing)" class="block text-xs text-petrol">{{
        thing.count > 1 ? `${packedOf(thing)} of ${thing.count} stay packed` : 'stays packed'
      }}</span>
    </template>
    <template #does>
      <span v-if="costs || thing.note" class="block text-xs text-soft">{{
        [costs, thing.note].filter(Boolean).join('. ')
      }}</span>
    </template>
  </ThingLine>
</template>
