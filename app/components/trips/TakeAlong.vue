<script setup lang="ts">
import { Check, Smartphone } from '@lucide/vue'
import { computed, ref } from 'vue'
import { linesOf } from '../../http/api'
import { askForRoom } from '../../session/device-room'
import type { KeptLine } from '../../session/outbox'
import { useTripSessions } from '../../stores/trip-sessions'
import { localeOfApp } from '../common/locale-of-app'

/** Whether a trip lies on this device for the road, as of when; and has it lie there. */
const props = defineProps<{ trip: string; name: string; kept: KeptLine | undefined }>()
const emit = defineEmits<{ changed: [] }>()
const isBusy = ref(false)
const said = ref('')
const asOf = computed(
  () =>
    props.kept &&
    new Date(props.kept.asOf).toLocaleString(localeOfApp, {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      hour: '2-digit',
      minute: '2-digit',
    }),
)

async function take(isTaken: boolean) {
  isBusy.value = true
  said.value = ''
  try {
    const opened = await (await useTripSessions()).takeAlong(props.trip, isTaken)
    if (opened.kind === 'away') said.value = opened.lines.join(' ')
    else if (opened.kind !== 'opened') said.value = 'It is not to be had from the server.'
    else if (isTaken) {
      const { stays, isLow } = await askForRoom()
      if (isLow)
        said.value = 'This device has little room left: make some before you leave, or it may not keep what you write.'
      else if (stays === false)
        said.value =
          'This browser may clear it away where room gets scarce: put Rag Tin on the home screen, then it stays.'
    }
  } catch (error) {
    said.value = linesOf(error).join(' ')
  }
  isBusy.value = false
  emit('changed')
}
</script>

<template>
  <div class="text-sm">
    <p v-if="kept" class="flex flex-wrap items-center gap-x-2">
      <span class="inline-flex items-center gap-1 text-petrol" data-kept
        ><Check :size="14" aria-hidden="true" />{{ kept.isTakenAlong ? 'taken along' : 'on this device' }}</span
      >
      <span class="text-soft">as of {{ asOf }}</span>
      <button
        type="button"
        class="underline pointer-coarse:min-h-11"
        :disabled="isBusy"
        :aria-label="`${kept.isTakenAlong ? 'Take along no more' : 'Take along'}: ${name}`"
        @click="take(!kept.isTakenAlong)"
      >
        {{ kept.isTakenAlong ? 'no more' : 'take along' }}
      </button>
    </p>
    <button
      v-else
      type="button"
      class="inline-flex items-center gap-1 underline pointer-coarse:min-h-11"
      :disabled="isBusy"
      :aria-label="`Take along: ${name}`"
      @click="take(true)"
    >
      <Smartphone :size="14" aria-hidden="true" />{{
        isBusy ? 'Taking it along …' : 'take along, for where there is no network'
      }}
    </button>
    <p v-if="said" role="status" class="text-brass">{{ said }}</p>
  </div>
</template>
