<script setup lang="ts">
import BaseDialog from '../common/BaseDialog.vue'
import FindInTrip from './FindInTrip.vue'

defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <BaseDialog :open="open" title="Find in this trip" @close="$emit('close')">
    <FindInTrip @close="$emit('close')" />
  </BaseDialog>
</template>
