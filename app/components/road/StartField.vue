<script setup lang="ts">
import { startsBetween, startYears } from '#core/ride'
import DateTimeField from '../common/DateTimeField.vue'

/** When the ride begins. */
defineProps<{ modelValue: string | null }>()
defineEmits<{ 'update:modelValue': [value: string | null] }>()

/** A ride is begun in the morning, soon. */
const soon = `${new Date(Date.now() + 7 * 24 * 3600e3).toISOString().slice(0, 10)}T08:00`
</script>

<template>
  <DateTimeField
    label="The ride begins"
    :model-value="modelValue"
    :first="startsBetween.first"
    :last="startsBetween.last"
    :between="`The year must be ${startYears}.`"
    :starts-from="soon"
    @update:model-value="$emit('update:modelValue', $event)"
  />
</template>
