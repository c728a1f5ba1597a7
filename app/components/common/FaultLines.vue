<script setup lang="ts">
/** What went wrong, a line for each thing: where, what, and what would do. */
defineProps<{ lines: readonly string[]; title?: string }>()
</script>

<template>
  <div v-if="lines.length" role="alert" class="rounded border border-madder bg-madder-wash px-3 py-2 text-sm text-ink">
    <p v-if="title" class="font-semibold text-madder">{{ title }}</p>
    <ul>
      <li v-for="line in lines" :key="line" class="break-words">{{ line }}</li>
    </ul>
  </div>
</template>
