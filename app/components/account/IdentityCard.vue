<script setup lang="ts">
import { identitySchema, longestLine, longestLines, noIdentity, type Identity } from '#core/identity'
import equal from 'fast-deep-equal'
import { computed, reactive, ref } from 'vue'
import { useRequest } from '../../composables/useRequest'
import { api } from '../../http/api'
import FaultLines from '../common/FaultLines.vue'

/** Who somebody is, and what a doctor should know: kept with the account, in no trip, and printed only where it is asked for. */
const { busy, lines, attempt } = useRequest()
const saved = ref<Identity>()
const draft = reactive<Identity>({ ...noIdentity })
const isKept = ref(false)
const isChanged = computed(() => saved.value !== undefined && !equal(saved.value, { ...draft }))

const fields = [
  { key: 'name', label: 'Name', rows: 1 },
  { key: 'born', label: 'Born', rows: 1 },
  { key: 'address', label: 'Address', rows: 2 },
  { key: 'blood', label: 'Blood group', rows: 1 },
  { key: 'allergies', label: 'Allergies', rows: 2 },
  { key: 'medication', label: 'Medication', rows: 2 },
  { key: 'conditions', label: 'What else a doctor should know', rows: 2 },
  { key: 'contact', label: 'Whom to call', rows: 2 },
] as const satisfies readonly { key: keyof Identity; label: string; rows: number }[]
const longest = (rows: number) => (rows === 1 ? longestLine : longestLines)

void attempt(async () => {
  saved.value = identitySchema.parse(await api('/api/account/identity'))
  Object.assign(draft, saved.value)
})
async function submit() {
  isKept.value = await attempt(async () => {
    saved.value = identitySchema.parse(await api('/api/account/identity', { method: 'PUT', body: { ...draft } }))
  })
}
</script>

<template>
  <form id="identity" class="card space-y-3 p-4" aria-labelledby="identity-title" @submit.prevent="submit">
    <h2 id="identity-title" class="text-lg">Who I am</h2>
    <p class="text-sm text-soft">
      A card to carry, in case you cannot speak. Nothing of it is required. It is kept here, in no trip; nobody you
      share a trip with sees it, and it is printed or exported only where you tick that.
    </p>
    <fieldset v-if="saved" class="space-y-3" :disabled="busy">
      <label v-for="{ key, label, rows } in fields" :key="key" class="block text-sm text-soft"
        >{{ label }}
        <input
          v-if="rows === 1"
          v-model="draft[key]"
          class="field mt-1 text-ink"
          autocomplete="off"
          :maxlength="longest(rows)"
        />
        <textarea
          v-else
          v-model="draft[key]"
          class="field mt-1 text-ink"
          autocomplete="off"
          :rows="rows"
          :maxlength="longest(rows)"
        />
      </label>
    </fieldset>
    <p v-else-if="!lines.length" role="status" class="text-sm text-soft">Looking …</p>
    <FaultLines :lines="lines" />
    <div class="flex items-center gap-3">
      <button type="submit" class="button" :disabled="busy || !isChanged">Keep this card</button>
      <p role="status" class="text-sm text-soft">{{ isKept && !isChanged ? 'kept' : '' }}</p>
    </div>
  </form>
</template>
