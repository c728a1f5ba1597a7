<script setup lang="ts">
import { catalogue } from '#catalogue'
import { familyValues } from '#core/reference'
import { nth } from '#core/validation'
import PlanningField from './PlanningField.vue'

/** How long things keep: planning values by which the shed says how far what is old can be trusted. */
const keeping = catalogue.families.flatMap((family) => {
  const values = familyValues(family)
  return values.length === 2 ? [{ family, sealed: nth(values, 0), opened: nth(values, 1) }] : []
})
</script>

<template>
  <section aria-labelledby="keeping-title" class="px-4 py-3">
    <h2 id="keeping-title" class="text-base">How long things keep</h2>
    <p class="mt-1 max-w-prose text-xs text-soft">
      After so long half of them are past it, in the packet and once opened or in use. The shed trusts what is old by
      it; what is laid on the bench from there takes that along. Planning values, from memory.
    </p>
    <div class="mt-2 overflow-x-auto" tabindex="0" role="group" aria-label="How long things keep">
      <table class="text-sm">
        <thead>
          <tr class="text-left text-xs text-soft">
            <th class="pr-3 font-normal">thing</th>
            <th class="pr-3 font-normal">in the packet</th>
            <th class="pr-3 font-normal">opened</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ family, sealed, opened } in keeping" :key="family.id">
            <th class="pr-3 text-left font-normal">{{ family.name }}</th>
            <td class="w-36 pr-3 align-top">
              <PlanningField :value="sealed" :label="`${family.name}, in the packet`" label-hidden />
            </td>
            <td class="w-36 pr-3 align-top">
              <PlanningField :value="opened" :label="`${family.name}, opened`" label-hidden />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
