<script setup lang="ts">
import { skillWords } from '#core/crew'
import { awkwardValue, handValues, toolValues } from '#core/reference'
import { catalogue } from '#catalogue'
import PlanningField from './PlanningField.vue'

/** How surely hands mend, and how surely tools work: planning values that all failures share. */
const toolWords = {
  pump: 'a pump',
  compressor: 'a compressor',
  folding: 'a folding tool',
  lever: 'a tyre lever',
  simple: 'a simple tool',
} as const
</script>

<template>
  <section aria-labelledby="hands-title" class="px-4 py-3">
    <h2 id="hands-title" class="text-base">Hands and tools</h2>
    <p class="mt-1 max-w-prose text-xs text-soft">
      The chance that somebody can do it in the end, with an afternoon to spare, by how often they have done it; and
      that a tool works when it is wanted. A fix takes longer where what it turns wants a hard pull, small bites, or a
      jaw at its limit. Planning values, from memory.
    </p>
    <div class="mt-2 overflow-x-auto" tabindex="0" role="group" aria-label="Hands, by how hard the work is">
      <table class="named-above text-sm" :style="{ '--columns': Object.keys(skillWords).length }">
        <thead>
          <tr class="text-left text-xs text-soft">
            <th class="corner pr-3 font-normal">work</th>
            <th v-for="word in skillWords" :key="word" class="pr-3 font-normal">{{ word }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ difficulty, values } in handValues(catalogue)" :key="difficulty">
            <th scope="row" class="pr-3 text-left font-normal">{{ difficulty }}</th>
            <td v-for="(value, level) in values" :key="value.key" class="pr-3 align-top sm:w-28">
              <PlanningField :value="value" :label="`${difficulty}, ${skillWords[level]}`" label-hidden />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-5">
      <PlanningField
        v-for="{ tool, value } in toolValues(catalogue)"
        :key="tool"
        :value="value"
        :label="`${toolWords[tool]} works`"
      />
      <PlanningField :value="awkwardValue(catalogue)" label="awkward turning adds" />
    </div>
  </section>
</template>
