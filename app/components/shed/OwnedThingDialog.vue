<script setup lang="ts">
import { catalogue } from '#catalogue'
import { currencySchema } from '#core/money'
import { ages, conditionOn, ownedThingSchema, type OwnedThing } from '#core/shed'
import ThingForm from '../bench/ThingForm.vue'
import MeasureField from '../common/MeasureField.vue'
import MoneyField from '../common/MoneyField.vue'

/** One thing of the shed in full. */
const props = defineProps<{ thing: OwnedThing; isNew: boolean; today: string }>()
const emit = defineEmits<{ close: []; keep: [thing: OwnedThing] }>()

const isCurrency = (code: string) => currencySchema.safeParse(code).success
const byAge = (draft: OwnedThing) =>
  Math.round(100 * conditionOn({ ...draft, trustedTo: null }, props.today, catalogue.families))
const dates = [
  { key: 'bought', label: 'Bought on' },
  { key: 'opened', label: 'Opened on' },
  { key: 'tested', label: 'Tested on' },
] as const
const textOf = (event: Event) => (event.target as HTMLInputElement).value
/** A mass that was typed is not one that was weighed. */
const keep = (thing: OwnedThing) =>
  emit('keep', { ...thing, isWeighed: thing.isWeighed && thing.massG === props.thing.massG })
</script>

<template>
  <ThingForm
    :thing="thing"
    :schema="ownedThingSchema"
    :title="isNew ? 'Into the shed' : thing.name"
    :leave-words="isNew ? 'Leave it' : 'Leave it as it was'"
    :keep-words="isNew ? 'Put it in' : 'Keep'"
    @close="$emit('close')"
    @keep="keep"
  >
    <template #figures="{ draft }">
      <MoneyField
        v-if="isCurrency(draft.currency)"
        label="One has cost"
        :model-value="draft.price"
        :currency="draft.currency"
        allow-none
        @update:model-value="draft.price = $event"
      />
      <label class="block text-sm text-soft"
        >Currency
        <input
          :value="draft.currency"
          class="field figures mt-1 text-ink"
          maxlength="3"
          autocomplete="off"
          @input="draft.currency = textOf($event).toUpperCase()"
        />
      </label>
      <label class="block text-sm text-soft"
        >Used so often
        <input v-model.number="draft.uses" type="number" min="0" class="field figures mt-1 text-right text-ink" />
      </label>
      <label class="block text-sm text-soft"
        >Stay packed in the tin
        <input
          v-model.number="draft.packed"
          type="number"
          min="0"
          :max="draft.count"
          class="field figures mt-1 text-right text-ink"
        />
      </label>
      <MeasureField
        label="Trusted to"
        :model-value="draft.trustedTo"
        amount="share"
        :most="1"
        allow-none
        :placeholder="`${byAge(draft)}`"
        @update:model-value="draft.trustedTo = $event"
      />
    </template>
    <template #more="{ draft }">
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <label v-for="{ key, label } in dates" :key="key" class="block text-sm text-soft"
          >{{ label }}
          <input
            type="date"
            class="field mt-1 text-ink"
            :value="draft[key] ?? ''"
            @change="draft[key] = textOf($event) || null"
          />
        </label>
      </div>
      <p v-if="ages(draft, catalogue.families)" class="text-xs text-soft">
        Where nothing stands under “Trusted to”, its age says how far it can be trusted: {{ byAge(draft) }} % today
        (planning value). A test makes it as new on that day: a tube held under water, a cartridge weighed, a patch
        stuck.
      </p>
    </template>
  </ThingForm>
</template>
