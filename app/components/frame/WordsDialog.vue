<script setup lang="ts">
import { glossary } from '#wording'
import BaseDialog from '../common/BaseDialog.vue'

/** All words that mean something of their own here. */
defineEmits<{ close: [] }>()
const words = Object.entries(glossary).sort(([a], [b]) => a.localeCompare(b, 'en'))
</script>

<template>
  <BaseDialog open title="What words mean" wide @close="$emit('close')">
    <dl class="grid gap-x-5 gap-y-2 text-sm sm:grid-cols-[11rem_1fr]">
      <template v-for="[word, meaning] in words" :key="word">
        <dt class="font-semibold">{{ word }}</dt>
        <dd class="max-sm:mb-1">{{ meaning }}</dd>
      </template>
    </dl>
  </BaseDialog>
</template>
