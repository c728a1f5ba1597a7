<script setup lang="ts">
import { catalogue } from '#catalogue'
import { mostOwned, readShedCsv, type OwnedThing, type ReadShed } from '#core/shed'
import { faultLines } from '#core/trip'
import equal from 'fast-deep-equal'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useShedEdits } from '../../composables/useShedEdits'
import { useShed } from '../../stores/shed'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'

/** What a table would change in the shed; nothing is taken before somebody has said so. */
const props = defineProps<{ file: File }>()
const emit = defineEmits<{ close: [] }>()

const { byId, put } = useShed()
const { newId } = useShedEdits()
const read = shallowRef<ReadShed>()
const lines = ref<string[]>([])
/** No table of a shed is longer. */
const mostBytes = 20_000_000

onMounted(async () => {
  try {
    if (props.file.size > mostBytes) throw new Error(`${props.file.name}: longer than ${mostBytes / 1e6} MB`)
    const answer = readShedCsv(await props.file.text(), catalogue.items, newId)
    const more = answer.things.filter((thing) => !isKnown(thing)).length
    if (byId.value.size + more > mostOwned) {
      throw new Error(`${props.file.name}: ${more} new things beside ${byId.value.size}; a shed holds ${mostOwned}`)
    }
    read.value = answer
  } catch (error) {
    lines.value = faultLines(error) ?? [error instanceof Error ? error.message : String(error)]
  }
})
const isKnown = ({ id }: OwnedThing) => byId.value.has(id)
const known = computed(() => read.value?.things.filter(isKnown) ?? [])
const changed = computed(() => known.value.filter((thing) => !equal(thing, byId.value.get(thing.id))))
const fresh = computed(() => read.value?.things.filter((thing) => !isKnown(thing)) ?? [])
const counted = (count: number, word: string) => `${count} ${word}`
const sum = computed(() => [
  counted(fresh.value.length, 'new'),
  counted(changed.value.length, 'changed'),
  counted(known.value.length - changed.value.length, 'the same'),
])
async function take() {
  const things = [...fresh.value, ...changed.value]
  emit('close')
  await put(`take ${things.length === 1 ? 'one thing' : `${things.length} things`} from ${props.file.name}`, things)
}
</script>

<template>
  <BaseDialog open :title="file.name" @close="$emit('close')">
    <FaultLines :lines="lines" title="Not taken; your shed is as it was." />
    <template v-if="read">
      <p>
        Things in it: <span class="figures">{{ sum.join(', ') }}</span>.
      </p>
      <p v-if="read.passedOver.length" class="mt-1 text-sm text-brass">
        Columns that were passed over: {{ read.passedOver.join(', ') }}
      </p>
      <ul class="mt-2 max-h-[40vh] list-disc overflow-y-auto pl-5 text-sm" tabindex="0">
        <li v-for="thing in [...fresh, ...changed].slice(0, 200)" :key="thing.id" class="break-words">
          {{ thing.name }}<span v-if="isKnown(thing)" class="text-soft"> (changed)</span>
        </li>
      </ul>
      <div class="mt-4 flex justify-end gap-2">
        <button type="button" class="button" @click="$emit('close')">Leave it</button>
        <button type="button" class="button button-main" :disabled="fresh.length + changed.length === 0" @click="take">
          Put them in
        </button>
      </div>
    </template>
    <div v-else-if="lines.length" class="mt-4 flex justify-end">
      <button type="button" class="button" @click="$emit('close')">Close</button>
    </div>
  </BaseDialog>
</template>
