<script setup lang="ts" generic="Id extends string">
/** The rooms of a stage, to go from one to another. */
defineProps<{ rooms: readonly { readonly id: Id; readonly name: string }[]; room: Id }>()
defineEmits<{ go: [id: Id] }>()
</script>

<template>
  <nav class="-mb-px mt-2 flex flex-wrap gap-x-1 whitespace-nowrap max-md:-mx-2" aria-label="Rooms of this stage">
    <button
      v-for="entry in rooms"
      :key="entry.id"
      type="button"
      class="border-b-3 px-3 py-1.5 max-md:min-h-11 max-md:min-w-11 max-md:px-1.5 max-md:text-sm"
      :class="entry.id === room ? 'border-petrol font-bold' : 'border-transparent text-soft hover:text-ink'"
      :aria-current="entry.id === room ? 'page' : undefined"
      @click="$emit('go', entry.id)"
    >
      {{ entry.name }}
    </button>
  </nav>
</template>
