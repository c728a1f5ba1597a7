<script setup lang="ts" generic="Id extends string">
import { onMounted, useTemplateRef, watch } from 'vue'

/** The rooms of a stage, to go from one to another. */
const props = defineProps<{ rooms: readonly { readonly id: Id; readonly name: string }[]; room: Id }>()
defineEmits<{ go: [id: Id] }>()

// On a phone the rooms do not all fit in a line.
const names = useTemplateRef<HTMLElement>('names')
const showName = () => {
  names.value?.querySelector('[aria-current=page]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
}
onMounted(showName)
watch(() => props.room, showName, { flush: 'post' })
</script>

<template>
  <nav ref="names" class="-mb-px mt-2 flex gap-x-1 overflow-x-auto whitespace-nowrap" aria-label="Rooms of this stage">
    <button
      v-for="entry in rooms"
      :key="entry.id"
      type="button"
      class="border-b-3 px-3 py-1.5 max-md:min-h-11"
      :class="entry.id === room ? 'border-petrol font-bold' : 'border-transparent text-soft hover:text-ink'"
      :aria-current="entry.id === room ? 'page' : undefined"
      @click="$emit('go', entry.id)"
    >
      {{ entry.name }}
    </button>
  </nav>
</template>
