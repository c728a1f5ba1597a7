<script setup lang="ts">
/** What is wrong with what was typed, just under its field and over whatever stands there. */
defineProps<{ id: string; words: string }>()
</script>

<template>
  <p
    v-if="words"
    :id="id"
    role="alert"
    class="card absolute z-20 mt-1 w-56 border-madder p-2 text-xs text-madder shadow-md"
  >
    {{ words }}
  </p>
</template>
