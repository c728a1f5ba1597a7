<script setup lang="ts">
import { Download } from '@lucide/vue'
import { ref } from 'vue'

const withIdentity = ref(false)
</script>

<template>
  <section class="card space-y-3 p-4" aria-labelledby="export-title">
    <h2 id="export-title" class="text-lg">All that is yours</h2>
    <p class="text-sm text-soft">
      One file with everything that is kept of you: your account and each of your trips, those in the bin too, as
      documents that can be imported again.
    </p>
    <label class="flex items-center gap-2 text-sm">
      <input v-model="withIdentity" type="checkbox" class="size-4 accent-petrol" />
      with the card that says who I am
    </label>
    <a :href="`/api/account/export${withIdentity ? '?identity=yes' : ''}`" download class="button"
      ><Download :size="15" aria-hidden="true" />Export everything</a
    >
  </section>
</template>
