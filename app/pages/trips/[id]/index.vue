<script setup lang="ts">
const route = useRoute()
await navigateTo(`/trips/${route.params.id}/weigh`, { replace: true })
</script>

<template>
  <p class="p-6 text-soft">Opening …</p>
</template>
