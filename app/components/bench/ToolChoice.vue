<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { ref } from 'vue'
import type { ToolRef } from '../../stores/candidates'

/** A tool to be chosen and then added: keys go through a list without taking all that they pass. */
defineProps<{
  label: string
  /** Whether the label is for those who listen alone. */
  labelHidden?: boolean
  groups: readonly {
    readonly name: string
    readonly tools: readonly { readonly ref: ToolRef; readonly words: string }[]
  }[]
}>()
const emit = defineEmits<{ add: [tool: ToolRef] }>()
const chosen = ref<ToolRef | ''>('')

function add() {
  if (chosen.value === '') return
  emit('add', chosen.value)
  chosen.value = ''
}
</script>

<template>
  <form class="flex items-end gap-1.5" @submit.prevent="add">
    <label class="block min-w-0 flex-1 text-sm text-soft"
      ><span :class="labelHidden ? 'sr-only' : ''">{{ label }}</span>
      <select v-model="chosen" class="field text-ink" :class="labelHidden ? '' : 'mt-1'">
        <option value="">{{ labelHidden ? 'with …' : 'choose a tool …' }}</option>
        <optgroup v-for="group in groups" :key="group.name" :label="group.name">
          <option v-for="tool in group.tools" :key="tool.ref" :value="tool.ref">{{ tool.words }}</option>
        </optgroup>
      </select>
    </label>
    <button type="submit" class="button" :disabled="chosen === ''" :aria-label="`${label}: add`">
      <Plus :size="15" aria-hidden="true" />
    </button>
  </form>
</template>
