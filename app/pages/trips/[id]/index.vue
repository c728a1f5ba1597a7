<script setup lang="ts">
import { navigateTo, useRoute } from '#imports'

const route = useRoute()
await navigateTo(`/trips/${String(route.params.id)}/weigh`, { replace: true })
</script>

<template>
  <p class="p-6 text-soft">Opening …</p>
</template>
