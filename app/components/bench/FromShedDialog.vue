<script setup lang="ts">
import { catalogue } from '#catalogue'
import { laidFromShed, type OwnedThing } from '#core/shed'
import { capabilitiesInWords, conditionInWords } from '#wording'
import { NuxtLink } from '#components'
import { computed, ref } from 'vue'
import { focusWhenMounted } from '../../composables/focusWhenMounted'
import { useCatalogueFit } from '../../composables/useCatalogueFit'
import { useTripShed } from '../../composables/useTripShed'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'

/** Things of the shed that do not lie on the bench: those first that are for the bikes of this trip. */
defineEmits<{ close: [] }>()
const { elsewhere, lay, day, conditionOf } = useTripShed()
const { ofUse } = useCatalogueFit()
const { grams } = useView()

const asked = ref('')
const useful = computed(
  () => new Set(ofUse(elsewhere.value.map((owned) => laidFromShed(owned, owned.id, 1))).map(({ id }) => id)),
)
const found = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return elsewhere.value.filter((owned) => {
    const text = [owned.name, owned.note, ...capabilitiesInWords(owned, catalogue)].join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const isUseful = ({ id }: OwnedThing) => useful.value.has(id)
const groups = computed(() =>
  [
    { name: 'for these bikes', things: found.value.filter(isUseful) },
    { name: 'not for these bikes', things: found.value.filter((owned) => !isUseful(owned)) },
  ].filter(({ things }) => things.length > 0),
)
const fitting = computed(() => elsewhere.value.filter(isUseful))
</script>

<template>
  <BaseDialog open wide title="From the shed" @close="$emit('close')">
    <template v-if="elsewhere.length">
      <div class="flex gap-2">
        <input
          v-model="asked"
          class="field min-w-0 flex-1"
          type="search"
          aria-label="Find in the shed"
          placeholder="tube, hex 5, chain …"
          autocomplete="off"
          @vue:mounted="focusWhenMounted"
        />
        <button v-if="fitting.length" type="button" class="button button-main" @click="lay(fitting)">
          All {{ fitting.length }} for these bikes
        </button>
      </div>
      <div class="mt-2 max-h-[60vh] overflow-y-auto" tabindex="0" role="region" aria-label="Things in the shed">
        <section v-for="{ name, things } in groups" :key="name">
          <h3 class="stamped sticky top-0 z-10 bg-paper py-1.5 text-soft">{{ name }}</h3>
          <ul>
            <li v-for="owned in things" :key="owned.id" class="flex items-center gap-3 border-b border-line py-1">
              <span class="min-w-0 flex-1 [overflow-wrap:anywhere]">
                <span class="block">{{ owned.count > 1 ? `${owned.count} × ` : '' }}{{ owned.name }}</span>
                <span class="block text-xs text-soft">{{
                  capabilitiesInWords(owned, catalogue).join(', ') || 'answers no claim'
                }}</span>
                <span v-if="conditionOf(owned) < 1" class="block text-xs text-brass">{{
                  conditionInWords(owned, day, catalogue.families)
                }}</span>
              </span>
              <span class="figures text-sm text-soft">{{ grams(owned.massG) }}</span>
              <button type="button" class="button" :aria-label="`Lay ${owned.name} down`" @click="lay([owned])">
                Lay down
              </button>
            </li>
          </ul>
        </section>
        <p v-if="!groups.length" class="py-4 text-soft">Nothing in the shed matches “{{ asked }}”.</p>
      </div>
    </template>
    <p v-else class="text-soft">
      All of your shed lies on the bench, or it is empty.
      <NuxtLink to="/shed" class="underline">Open the shed</NuxtLink>
    </p>
  </BaseDialog>
</template>
