<script setup lang="ts">
/** How each surface is drawn, to be filled with; asphalt is plain. Each drawing has its own, named by its prefix. */
defineProps<{ prefix: string }>()
</script>

<template>
  <defs>
    <pattern :id="`${prefix}-gravel`" width="5" height="5" patternUnits="userSpaceOnUse">
      <circle cx="1.2" cy="1.4" r="0.9" class="fill-soft" /><circle cx="3.8" cy="3.7" r="0.7" class="fill-soft" />
    </pattern>
    <pattern :id="`${prefix}-track`" width="7" height="4" patternUnits="userSpaceOnUse">
      <path d="M0 1.2H4.5M0 2.9H4.5" class="stroke-soft" stroke-width="1" />
    </pattern>
    <pattern :id="`${prefix}-singletrack`" width="6" height="4" patternUnits="userSpaceOnUse">
      <path d="M0 2H3.4" class="stroke-soft" stroke-width="1.3" />
    </pattern>
    <pattern :id="`${prefix}-sand`" width="3" height="3" patternUnits="userSpaceOnUse">
      <circle cx="0.8" cy="0.8" r="0.5" class="fill-brass" /><circle cx="2.3" cy="2.2" r="0.5" class="fill-brass" />
    </pattern>
    <pattern :id="`${prefix}-mud`" width="6" height="6" patternUnits="userSpaceOnUse">
      <path d="M0 4Q1.5 1 3 4T6 4" class="fill-none stroke-brass" stroke-width="1.2" />
    </pattern>
  </defs>
</template>
