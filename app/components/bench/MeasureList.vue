<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { MeasureName, Measures, Thing } from '#core/bench'
import { readClass } from '#core/supply'
import type { Amount } from '#core/units'
import { computed } from 'vue'
import MeasureField from '../common/MeasureField.vue'

/** Measures that decide which bike a spare serves, or how much air a pump gives: those that a thing of its kind has. */
const props = defineProps<{ thing: Pick<Thing, 'units' | 'provides' | 'measures'> }>()
const emit = defineEmits<{ change: [measures: Measures] }>()

type Measured = Exclude<MeasureName, 'valve'>
const fields: Record<Measured, { label: string; amount: Amount; least: number; most: number }> = {
  fromWidthMm: { label: 'Tyres from', amount: 'length', least: 10, most: 150 },
  toWidthMm: { label: 'to', amount: 'length', least: 10, most: 150 },
  stemMm: { label: 'Valve stem', amount: 'length', least: 10, most: 150 },
  lengthMm: { label: 'Length', amount: 'length', least: 100, most: 5000 },
  gasG: { label: 'Gas in it', amount: 'mass', least: 1, most: 100 },
  strokeMl: { label: 'Air with a stroke', amount: 'volume', least: 5, most: 2000 },
  energyWh: { label: 'Battery', amount: 'energy', least: 0.1, most: 1000 },
}
const relevant = computed(
  () =>
    new Set<MeasureName>([
      ...Object.keys(props.thing.units).flatMap((id) => readClass(id, catalogue.families)?.family.measures ?? []),
      ...(catalogue.functions.some(({ id, pumps }) => pumps && props.thing.provides.includes(id))
        ? (['strokeMl'] as const)
        : []),
    ]),
)
const wanted = computed(() => [...relevant.value].filter((measure) => measure !== 'valve'))
const put = (part: Partial<Measures>) => emit('change', { ...props.thing.measures, ...part })
</script>

<template>
  <fieldset v-if="relevant.size">
    <legend class="text-sm text-soft">Measured</legend>
    <div class="mt-1 grid grid-cols-3 gap-2">
      <MeasureField
        v-for="measure in wanted"
        :key="measure"
        :label="fields[measure].label"
        :model-value="thing.measures[measure]"
        :amount="fields[measure].amount"
        :least="fields[measure].least"
        :most="fields[measure].most"
        allow-none
        placeholder="not yet"
        @update:model-value="put({ [measure]: $event })"
      />
      <label v-if="relevant.has('valve')" class="block text-sm text-soft"
        >Valve
        <select
          class="field mt-1 text-ink"
          :value="thing.measures.valve ?? ''"
          @change="put({ valve: (($event.target as HTMLSelectElement).value || null) as Measures['valve'] })"
        >
          <option value="">not known</option>
          <option value="presta">Presta</option>
          <option value="schrader">Schrader</option>
        </select>
      </label>
    </div>
  </fieldset>
</template>
