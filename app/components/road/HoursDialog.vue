<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { formatHours, parseHours, weekdayCodes, type WeekdayCode } from '#core/ride'
import { computed, ref } from 'vue'
import BaseDialog from '../common/BaseDialog.vue'
import TimeField from '../common/TimeField.vue'

/** Puts opening hours together for somebody who does not know the syntax, from those that are there. */
const props = defineProps<{ title: string; hours: string; tidy: string | undefined }>()
const emit = defineEmits<{ put: [hours: string]; close: [] }>()

interface Row {
  days: WeekdayCode[]
  spans: { from: string; to: string }[]
}
const names: Record<WeekdayCode, string> = {
  Mo: 'Mon',
  Tu: 'Tue',
  We: 'Wed',
  Th: 'Thu',
  Fr: 'Fri',
  Sa: 'Sat',
  Su: 'Sun',
}
const usual: Row[] = [
  { days: ['Mo', 'Tu', 'We', 'Th', 'Fr'], spans: [{ from: '09:00', to: '18:00' }] },
  { days: [], spans: [{ from: '09:00', to: '13:00' }] },
]
const there = props.tidy === undefined ? undefined : parseHours(props.tidy)
/** Whether there are hours that this form cannot show, and would write over. */
const isBeyond = props.hours !== '' && there === undefined
const rows = ref<Row[]>(
  there ? there.map(({ days, spans }) => ({ days: [...days], spans: spans.map((span) => ({ ...span })) })) : usual,
)
const written = computed(() => formatHours(rows.value))

function toggle(row: Row, code: WeekdayCode) {
  const had = row.days.includes(code)
  // A day is in one row only.
  for (const other of rows.value) other.days = other.days.filter((day) => day !== code)
  if (!had) row.days = [...row.days, code]
}
function put(hours: string) {
  emit('put', hours)
  emit('close')
}
</script>

<template>
  <BaseDialog open wide :title="title" @close="emit('close')">
    <div class="space-y-3">
      <p v-if="isBeyond" class="text-sm text-brass">
        {{
          tidy === undefined ? 'What is there cannot be read' : 'The hours that are there say more than this form can'
        }}: <code class="figures">{{ hours }}</code>. Taking hours here writes over them.
      </p>
      <fieldset v-for="(row, r) in rows" :key="r" class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <legend class="sr-only">Days kept alike, {{ r + 1 }}</legend>
        <div class="flex gap-1">
          <button
            v-for="code in weekdayCodes"
            :key="code"
            type="button"
            class="grid h-9 w-11 place-items-center rounded-sm border text-sm max-md:h-11"
            :class="row.days.includes(code) ? 'border-petrol bg-petrol text-on-petrol' : 'border-line'"
            :aria-pressed="row.days.includes(code)"
            @click="toggle(row, code)"
          >
            {{ names[code] }}
          </button>
        </div>
        <div v-for="(span, s) in row.spans" :key="s" class="flex items-center gap-1.5 text-sm">
          <TimeField v-model="span.from" class="w-20" :label="`opens, ${r + 1}.${s + 1}`" label-hidden />
          <span class="text-soft">to</span>
          <TimeField v-model="span.to" class="w-20" :label="`shuts, ${r + 1}.${s + 1}`" label-hidden />
        </div>
        <button
          v-if="row.spans.length < 2"
          type="button"
          class="button"
          @click="row.spans.push({ from: '14:00', to: '18:00' })"
        >
          <Plus :size="14" aria-hidden="true" />after a noon break
        </button>
      </fieldset>
      <button type="button" class="button" @click="rows.push({ days: [], spans: [{ from: '10:00', to: '16:00' }] })">
        <Plus :size="14" aria-hidden="true" />Other days, other hours
      </button>
      <p class="text-sm text-soft">
        Written as <code class="figures text-ink">{{ written || '—' }}</code>
      </p>
      <div class="flex flex-wrap justify-end gap-2">
        <button type="button" class="button" @click="put('')">Unknown</button>
        <button type="button" class="button" @click="put('24/7')">Always open</button>
        <button type="button" class="button button-main" :disabled="!written" @click="put(written)">
          Take these hours
        </button>
      </div>
    </div>
  </BaseDialog>
</template>
