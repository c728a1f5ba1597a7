<script setup lang="ts">
import { NuxtPage } from '#components'
import { useHead } from '#imports'
import PageFailure from './components/frame/PageFailure.vue'
import { useView } from './stores/view'

const { scheme } = useView()
useHead({ htmlAttrs: { 'data-scheme': scheme } })
</script>

<template>
  <NuxtPage />
  <PageFailure />
</template>
