<script setup lang="ts">
import { computed } from 'vue'
import { useView } from '../../stores/view'
import TermHint from '../common/TermHint.vue'

/** What an hour lost is worth in grams, on a scale where each step is a like factor. */
const props = defineProps<{ modelValue: number }>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const { grams } = useView()

const [least, most] = [20, 50_000]
const steps = 200
const position = computed(() =>
  Math.min(steps, Math.max(0, Math.round((steps * Math.log(props.modelValue / least)) / Math.log(most / least)))),
)
function turn(event: Event) {
  const at = Number((event.target as HTMLInputElement).value)
  const raw = least * (most / least) ** (at / steps)
  const round = raw < 100 ? 1 : raw < 1000 ? 5 : raw < 10_000 ? 50 : 500
  emit('update:modelValue', Math.round(raw / round) * round)
}
</script>

<template>
  <div>
    <label class="block">
      <span class="flex items-baseline justify-between gap-2 text-sm">
        <span>An hour lost is worth</span>
        <span class="figures font-semibold">{{ grams(modelValue) }}</span>
      </span>
      <input
        type="range"
        min="0"
        :max="steps"
        :value="position"
        class="dial mt-1 w-full"
        :aria-valuetext="`${grams(modelValue)} for an hour lost`"
        @input="turn"
      />
    </label>
    <p class="flex justify-between text-xs text-soft"><TermHint term="dial">the dial</TermHint><slot /></p>
  </div>
</template>

<style scoped>
.dial {
  appearance: none;
  height: 1.5rem;
  background: repeating-linear-gradient(to right, var(--soft) 0 1px, transparent 1px 10%) 50% 50% / 100% 9px no-repeat;
}
.dial::-webkit-slider-runnable-track {
  height: 2px;
  background: var(--soft);
}
.dial::-webkit-slider-thumb {
  appearance: none;
  width: 1.15rem;
  height: 1.15rem;
  margin-top: calc(1px - 0.575rem);
  border: 5px solid var(--tin);
  border-radius: 50%;
  background: var(--tin-ink);
}
[data-scheme='night'] .dial::-webkit-slider-thumb {
  border-color: var(--petrol);
}
</style>
