<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { CatalogueItem } from '#core/bench'
import { capabilitiesInWords } from '#wording'
import { computed, ref } from 'vue'
import { focusWhenMounted } from '../../composables/focusWhenMounted'
import BaseDialog from '../common/BaseDialog.vue'
import CatalogueRow from './CatalogueRow.vue'

/** Generic things to be taken, by what they are for: those first that are for the bikes at hand. */
const props = defineProps<{
  open: boolean
  /** What was taken already. */
  taken: readonly { readonly from: string | null; readonly count: number }[]
  /** Says why a thing is of no use on the bikes at hand; empty where it is. */
  whyNot: (item: CatalogueItem) => string
}>()
defineEmits<{ close: []; take: [item: CatalogueItem]; putBack: [item: CatalogueItem] }>()

interface Entry {
  readonly item: CatalogueItem
  /** Why it is of no use on these bikes; empty where it is. */
  readonly why: string
}

const asked = ref('')
const entries = computed(() =>
  props.open ? catalogue.items.map((item): Entry => ({ item, why: props.whyNot(item) })) : [],
)
const found = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return entries.value.filter(({ item }) => {
    const text = [item.name, item.group, ...capabilitiesInWords(item, catalogue)].join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
/** The last group, whatever they are for. */
const notForThese = 'not for these bikes'
const groups = computed(() => {
  const groupOf = ({ item, why }: Entry) => (why ? notForThese : item.group)
  const names = [...new Set(found.value.filter(({ why }) => !why).map(groupOf)), notForThese]
  return names
    .map((name) => ({ name, entries: found.value.filter((entry) => groupOf(entry) === name) }))
    .filter(({ entries: within }) => within.length > 0)
})
const countOf = (item: CatalogueItem) => props.taken.find((thing) => thing.from === item.id)?.count ?? 0
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
    <p class="mt-1 text-xs text-soft">Masses are planning values: weigh your own once you have it.</p>
    <div class="mt-2 max-h-[60vh] overflow-y-auto" tabindex="0" role="region" aria-label="Catalogue entries">
      <section v-for="group in groups" :key="group.name">
        <h3 class="stamped sticky top-0 z-10 bg-paper py-1.5 text-soft">{{ group.name }}</h3>
        <ul>
          <CatalogueRow
            v-for="{ item, why } in group.entries"
            :key="item.id"
            :item="item"
            :count="countOf(item)"
            :why="why"
            @take="$emit('take', item)"
            @put-back="$emit('putBack', item)"
          />
        </ul>
      </section>
      <p v-if="!groups.length" class="py-4 text-soft">
        The catalogue has nothing like “{{ asked }}”. Make it one of your own.
      </p>
    </div>
  </BaseDialog>
</template>
