<script setup lang="ts">
import { NuxtPage } from '#components'
import PageFailure from './components/frame/PageFailure.vue'
</script>

<template>
  <NuxtPage />
  <PageFailure />
</template>
