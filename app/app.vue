<script setup lang="ts">
const { scheme } = useView()
useHead({ htmlAttrs: { 'data-scheme': scheme } })
</script>

<template>
  <NuxtPage />
  <PageFailure />
</template>
