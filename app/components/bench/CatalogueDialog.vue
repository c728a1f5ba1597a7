<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { CatalogueItem, Thing } from '#core/bench'
import { capabilitiesInWords } from '#wording'
import { computed, ref } from 'vue'
import { focusWhenMounted } from '../../composables/focusWhenMounted'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'

/** Generic things to lay on the bench, by what they are for. */
const props = defineProps<{ open: boolean; bench: readonly Thing[] }>()
defineEmits<{ close: []; take: [item: CatalogueItem] }>()
const { grams } = useView()

const asked = ref('')
const groups = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  const matches = (item: CatalogueItem) => {
    const text = [item.name, item.group, ...capabilitiesInWords(item, catalogue)].join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  }
  const found = catalogue.items.filter(matches)
  return [...new Set(found.map((item) => item.group))].map((name) => ({
    name,
    items: found.filter((item) => item.group === name),
  }))
})
const countOf = (item: CatalogueItem) => props.bench.find((thing) => thing.from === item.id)?.count ?? 0
</script>

<template>
  <BaseDialog :open="open" wide title="The catalogue" @close="$emit('close')">
    <input
      v-model="asked"
      class="field"
      type="search"
      aria-label="Find in the catalogue"
      placeholder="tube, hex 5, chain …"
      autocomplete="off"
      @vue:mounted="focusWhenMounted"
    />
    <p class="mt-1 text-xs text-soft">Masses are planning values: weigh your own once it lies on the bench.</p>
    <div class="mt-2 max-h-[60vh] overflow-y-auto" tabindex="0" role="region" aria-label="Catalogue entries">
      <section v-for="group in groups" :key="group.name">
        <h3 class="stamped sticky top-0 bg-paper py-1.5 text-soft">{{ group.name }}</h3>
        <ul>
          <li v-for="item in group.items" :key="item.id" class="flex items-center gap-3 border-b border-line py-1">
            <span class="min-w-0 flex-1">
              <span class="block">{{ item.name }}</span>
              <span class="block text-xs text-soft">{{
                capabilitiesInWords(item, catalogue).join(', ') || 'answers no claim'
              }}</span>
            </span>
            <span class="figures text-sm text-soft">{{ grams(item.massG) }}</span>
            <span class="w-14 text-right text-xs font-semibold text-petrol">{{
              countOf(item) ? `${countOf(item)} laid` : ''
            }}</span>
            <button type="button" class="button" :aria-label="`Take ${item.name}`" @click="$emit('take', item)">
              Take
            </button>
          </li>
        </ul>
      </section>
      <p v-if="!groups.length" class="py-4 text-soft">
        The catalogue has nothing like “{{ asked }}”. Lay it down as one of your own.
      </p>
    </div>
  </BaseDialog>
</template>
