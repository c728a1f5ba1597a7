<script setup lang="ts">
import { ref } from 'vue'
import { useView } from '../../stores/view'
import type { ReadLine } from '../../workers/analyser'
import BaseDialog from '../common/BaseDialog.vue'

/** Which lines of a file make the road. */
const props = defineProps<{ lines: readonly ReadLine[] }>()
const emit = defineEmits<{ pick: [lines: number[]]; close: [] }>()
const { km } = useView()
const picked = ref(props.lines.map((_, i) => i))
</script>

<template>
  <BaseDialog open title="Lines of the file" @close="emit('close')">
    <p class="text-sm text-soft">
      Those that are ticked are joined, in this order; what lies between two is taken as straight.
    </p>
    <ul class="mt-3 max-h-80 space-y-1 overflow-y-auto">
      <li v-for="(line, i) in lines" :key="i">
        <label class="flex min-h-9 items-center gap-2 text-sm max-md:min-h-11">
          <input v-model="picked" type="checkbox" :value="i" class="size-4 accent-petrol" />
          <span class="min-w-0 flex-1">{{ line.name }}</span>
          <span class="figures text-soft">{{ km(line.km) }}, {{ line.points }} points</span>
        </label>
      </li>
    </ul>
    <div class="mt-3 flex justify-end">
      <button
        type="button"
        class="button button-main"
        :disabled="picked.length === 0"
        @click="
          emit(
            'pick',
            [...picked].sort((a, b) => a - b),
          )
        "
      >
        Make these the road
      </button>
    </div>
  </BaseDialog>
</template>
