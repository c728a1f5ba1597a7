<script setup lang="ts">
import { ownTaskSchema, type OwnTask } from '#core/home'
import { Trash2 } from '@lucide/vue'
import { cutTo } from '#core/validation'
import { useReadyEdits } from '../../composables/useReadyEdits'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'

/** Something of one's own on the list: what it is called, how long it takes, what is to be minded. */
const props = defineProps<{ own: OwnTask }>()
const { putOwn, removeOwn } = useReadyEdits()
const longestName = 120
const longestNote = 1000
function put(part: Partial<OwnTask>) {
  const next = ownTaskSchema.safeParse({ ...props.own, ...part })
  if (next.success) putOwn(next.data)
}
</script>

<template>
  <div class="grid max-w-2xl gap-x-4 gap-y-2 sm:grid-cols-[1fr_8rem]">
    <label class="block text-sm text-soft"
      >What is to be done
      <TypedField
        :id="`own-${own.id}`"
        class="field mt-1 text-ink"
        :model-value="own.name"
        :maxlength="longestName"
        @update:model-value="put({ name: cutTo($event.trim(), longestName) })"
      />
    </label>
    <MeasureField
      label="It takes"
      :model-value="own.minutes / 60"
      amount="minutes"
      :most="1000 / 60"
      @update:model-value="$event !== null && put({ minutes: $event * 60 })"
    />
    <label class="block text-sm text-soft sm:col-span-2"
      >To be minded
      <TypedField
        class="field mt-1 text-ink"
        :model-value="own.note"
        :maxlength="longestNote"
        @update:model-value="put({ note: cutTo($event.trim(), longestNote) })"
      />
    </label>
    <div>
      <button
        type="button"
        class="button button-bare"
        :aria-label="`Take ${own.name} off the list`"
        @click="removeOwn(own)"
      >
        <Trash2 :size="15" aria-hidden="true" />Off the list
      </button>
    </div>
  </div>
</template>
