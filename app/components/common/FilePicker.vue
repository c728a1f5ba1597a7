<script setup lang="ts">
import { FileUp } from '@lucide/vue'
import { useTemplateRef } from 'vue'

/** A button that has a file chosen; what is said of its looks is said of the button. */
defineOptions({ inheritAttrs: false })
defineProps<{ label: string; accept: string; disabled?: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()
const input = useTemplateRef<HTMLInputElement>('input')

function picked(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  // The same file may be chosen once more.
  field.value = ''
  if (file) emit('file', file)
}
</script>

<template>
  <span class="contents">
    <button type="button" class="button" v-bind="$attrs" :disabled="disabled" @click="input?.click()">
      <FileUp :size="15" aria-hidden="true" /><slot />
    </button>
    <input
      ref="input"
      type="file"
      :accept="accept"
      class="sr-only"
      :aria-label="label"
      tabindex="-1"
      @change="picked"
    />
  </span>
</template>
