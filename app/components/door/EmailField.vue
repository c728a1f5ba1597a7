<script setup lang="ts">
/** The address that somebody signs in with. */
const value = defineModel<string>({ required: true })
const { label = 'E-mail address' } = defineProps<{ label?: string }>()
</script>

<template>
  <label class="block text-sm text-soft"
    >{{ label
    }}<input v-model="value" class="field mt-1 text-ink" type="email" autocomplete="email" required maxlength="190"
  /></label>
</template>
