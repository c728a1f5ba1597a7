<script setup lang="ts">
/** A password that is being chosen. */
const value = defineModel<string>({ required: true })
const { label = 'New password' } = defineProps<{ label?: string }>()
</script>

<template>
  <label class="block text-sm text-soft"
    >{{ label
    }}<input
      v-model="value"
      class="field mt-1 text-ink"
      type="password"
      autocomplete="new-password"
      required
      minlength="8"
      maxlength="200"
    />
    <span class="text-xs">Eight characters or more; a few words make a good one.</span>
  </label>
</template>
