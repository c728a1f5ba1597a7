<script setup lang="ts">
import { watchEffect } from 'vue'
import { NuxtPage } from '#components'
import PageFailure from './components/frame/PageFailure.vue'
import { useView } from './stores/view'

const { scheme } = useView()
// Set here and not as part of the head, which waits while a page is being changed for another.
watchEffect(() => (document.documentElement.dataset.scheme = scheme.value))
</script>

<template>
  <NuxtPage />
  <PageFailure />
</template>
