<script setup lang="ts">
import { skillSchema, type Skill } from '#core/crew'

/** How often somebody has done something: filled the further the better they know it, and said in a word. */
defineProps<{ label: string; level: Skill | null; isFamily?: boolean }>()
const emit = defineEmits<{ set: [level: Skill] }>()

const words = ['never', 'watched', 'at home', 'on the road'] as const
function choose(event: Event) {
  emit('set', skillSchema.parse(Number((event.target as HTMLSelectElement).value)))
}
function type(event: KeyboardEvent) {
  const level = skillSchema.safeParse(Number(event.key))
  if (!level.success || event.key === ' ') return
  event.preventDefault()
  emit('set', level.data)
}
</script>

<template>
  <select
    class="hand min-h-[1.9rem] pointer-coarse:min-h-11"
    :class="isFamily ? 'hand-family' : ''"
    :data-level="level ?? undefined"
    :aria-label="label"
    :value="level ?? ''"
    @change="choose"
    @keydown="type"
  >
    <option v-if="level === null" value="" disabled>differ</option>
    <option v-for="(word, known) in words" :key="word" :value="known">{{ word }}</option>
  </select>
</template>

<style scoped>
.hand {
  --filled: 0%;
  width: 100%;
  padding: 0 0.4rem;
  appearance: none;
  border: 1px solid var(--color-line);
  border-radius: 2px;
  background: linear-gradient(
    to right,
    var(--color-petrol-wash) var(--filled),
    var(--color-paper) var(--filled),
    var(--color-paper)
  );
  font-size: var(--text-sm);
  text-overflow: ellipsis;
}
.hand:hover {
  border-color: var(--color-petrol);
}
.hand-family {
  border-color: transparent;
  background: none;
  color: var(--color-soft);
  font-style: italic;
}
.hand[data-level='1'] {
  --filled: 33%;
}
.hand[data-level='2'] {
  --filled: 67%;
}
.hand[data-level='3'] {
  --filled: 100%;
}
</style>
