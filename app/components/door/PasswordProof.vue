<script setup lang="ts">
/** The password that somebody has, to show who they are. */
const value = defineModel<string>({ required: true })
const { label = 'Your password' } = defineProps<{ label?: string }>()
</script>

<template>
  <label class="block text-sm text-soft"
    >{{ label
    }}<input
      v-model="value"
      class="field mt-1 text-ink"
      type="password"
      autocomplete="current-password"
      required
      maxlength="200"
  /></label>
</template>
