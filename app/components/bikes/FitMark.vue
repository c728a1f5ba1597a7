<script setup lang="ts">
/** What a tool does about a fastener, as a shape in a cell of the matrix. */
defineProps<{ mark: string }>()
</script>

<template>
  <rect v-if="mark === 'turns'" x="-5.5" y="-5.5" width="11" height="11" rx="1" class="fill-petrol" />
  <g v-else-if="mark === 'awkward'">
    <rect x="-5" y="-5" width="10" height="10" rx="1" fill="none" class="stroke-brass" stroke-width="1.4" />
    <path d="M-5 -5v10h10z" class="fill-brass" />
  </g>
  <path v-else-if="mark === 'damages'" d="M-4.5 -4.5l9 9M4.5 -4.5l-9 9" class="stroke-lacking" stroke-width="1.8" />
  <circle v-else-if="mark === 'near'" r="2.8" fill="none" class="stroke-soft" stroke-width="1.2" />
</template>
