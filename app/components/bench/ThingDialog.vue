<script setup lang="ts">
import { divisible, thingSchema, type Thing } from '#core/bench'
import MeasureField from '../common/MeasureField.vue'
import ThingForm from './ThingForm.vue'

/** One thing of the bench in full. */
defineProps<{ thing: Thing; isNew: boolean }>()
defineEmits<{ close: []; keep: [thing: Thing]; part: [draft: Thing] }>()
</script>

<template>
  <ThingForm
    :thing="thing"
    :schema="thingSchema"
    :title="isNew ? 'One of my own' : thing.name"
    leave-words="Leave it as it was"
    :keep-words="isNew ? 'Lay it down' : 'Keep'"
    @close="$emit('close')"
    @keep="$emit('keep', $event)"
  >
    <template #figures="{ draft }">
      <MeasureField
        label="Trusted to"
        :model-value="draft.condition"
        amount="share"
        :most="1"
        @update:model-value="$event !== null && (draft.condition = $event)"
      />
    </template>
    <template #more="{ draft }">
      <button v-if="!isNew && divisible(draft)" type="button" class="button" @click="$emit('part', draft)">
        Only a part of it …
      </button>
    </template>
  </ThingForm>
</template>
