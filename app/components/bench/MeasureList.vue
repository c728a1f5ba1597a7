<script setup lang="ts">
import type { Measures, Thing } from '~~/core/bench'
import type { Amount } from '~~/core/units'

/** Measures that decide which bike a spare serves, or how much air a pump gives: those that a thing of its kind has. */
const props = defineProps<{ thing: Pick<Thing, 'units' | 'provides' | 'measures'> }>()
const emit = defineEmits<{ change: [measures: Measures] }>()

type Measured = Exclude<keyof Measures, 'valve'>
const families: Record<string, readonly Measured[]> = {
  tube: ['fromWidthMm', 'toWidthMm', 'stemMm'],
  tyre: ['toWidthMm'],
  'tubeless-valve': ['stemMm'],
  'brake-cable': ['lengthMm'],
  'shift-cable': ['lengthMm'],
  cartridge: ['gasG'],
  charge: ['energyWh'],
}
const fields: Record<Measured, { label: string; amount: Amount; least: number; most: number }> = {
  fromWidthMm: { label: 'Tyres from', amount: 'length', least: 10, most: 150 },
  toWidthMm: { label: 'to', amount: 'length', least: 10, most: 150 },
  stemMm: { label: 'Valve stem', amount: 'length', least: 10, most: 150 },
  lengthMm: { label: 'Length', amount: 'length', least: 100, most: 5000 },
  gasG: { label: 'Gas in it', amount: 'mass', least: 1, most: 100 },
  strokeMl: { label: 'Air with a stroke', amount: 'volume', least: 5, most: 2000 },
  energyWh: { label: 'Battery', amount: 'energy', least: 0.1, most: 1000 },
}
const isOf = (family: string) =>
  Object.keys(props.thing.units).some((id) => id === family || id.startsWith(`${family}-`))
const wanted = computed(() => {
  const of = Object.entries(families).flatMap(([family, measures]) => (isOf(family) ? measures : []))
  const pumps = props.thing.provides.some((id) => id.startsWith('inflate-'))
  return [...new Set<Measured>([...of, ...(pumps ? (['strokeMl'] as const) : [])])]
})
const put = (part: Partial<Measures>) => emit('change', { ...props.thing.measures, ...part })
</script>

<template>
  <fieldset v-if="wanted.length">
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
      <label v-if="isOf('tube')" class="block text-sm text-soft"
        >Valve
        <select
          class="slot mt-1 text-ink"
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
