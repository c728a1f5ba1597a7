<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { shallowRef, type VNode } from 'vue'
import { useBackCloses } from '../../composables/useBackCloses'
import { useFocusReturn } from '../../composables/useFocusReturn'

/** Flush: what it holds brings its own margins. */
const props = defineProps<{ open: boolean; title: string; wide?: boolean; mustAnswer?: boolean; flush?: boolean }>()
const emit = defineEmits<{ close: [] }>()
useFocusReturn(() => props.open)
useBackCloses(
  () => props.open,
  () => props.mustAnswer || emit('close'),
)

const first = shallowRef<HTMLElement | null>(null)
/** A dialog begins at its first field; a finger does not ask for the keys of a telephone by opening one. */
function findFirstField({ el }: VNode) {
  const isTouched = matchMedia('(pointer: coarse)').matches
  first.value = isTouched ? null : (el as HTMLElement).querySelector<HTMLElement>(fields)
}
const fields = 'input:not([type=file], [aria-hidden]), select, textarea, [role=spinbutton]'
</script>

<template>
  <Dialog :open="open" :initial-focus="first" class="relative z-50" @close="mustAnswer || emit('close')">
    <div class="fixed inset-0 bg-black/45" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 sm:pt-[8vh]">
      <DialogPanel
        class="w-full rounded-md border border-line bg-paper shadow-2xl"
        :class="wide ? 'max-w-3xl' : 'max-w-md'"
      >
        <div class="flex items-center justify-between rounded-t-md bg-tin px-4 py-2 text-tin-ink">
          <DialogTitle as="h2" class="min-w-0 text-base font-semibold [overflow-wrap:anywhere]">{{
            title
          }}</DialogTitle>
          <button
            v-if="!mustAnswer"
            type="button"
            class="shrink-0 rounded p-1 hover:bg-white/15"
            aria-label="Close"
            @click="emit('close')"
          >
            <X :size="18" aria-hidden="true" />
          </button>
        </div>
        <div :class="{ 'p-4': !flush }" @vue:mounted="findFirstField"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
