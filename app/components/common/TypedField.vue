<script setup lang="ts">
import { ref } from 'vue'

/**
 * A line of text that is taken when it is left. What is being typed stays meanwhile, whatever is drawn anew around it:
 * a plain field would be written over with the text that it began with.
 */
const props = defineProps<{ modelValue: string }>()
const emit = defineEmits<{ 'update:modelValue': [text: string] }>()

const typed = ref<string>()
const textOf = (event: Event) => (event.target as HTMLInputElement).value

function take(event: Event) {
  typed.value = undefined
  const text = textOf(event)
  if (text !== props.modelValue) emit('update:modelValue', text)
}
</script>

<template>
  <input :value="typed ?? modelValue" @input="typed = textOf($event)" @change="take" @blur="typed = undefined" />
</template>
