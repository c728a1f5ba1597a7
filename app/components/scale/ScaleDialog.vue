<script setup lang="ts">
import { nth } from '#core/validation'
import { computed, ref, watch } from 'vue'
import { useScale } from '../../composables/useScale'
import { madeUpMassG, madeUpScale } from '../../scale/made-up-scale'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'

/** What is to be weighed. */
interface Weighed {
  readonly id: string
  readonly name: string
  readonly massG: number
}

/** Thing after thing on the scale. */
const props = defineProps<{ things: readonly Weighed[] }>()
const emit = defineEmits<{ close: []; weighed: [id: string, grams: number] }>()

const { grams } = useView()
// What is left to weigh when it is opened: what has been weighed is not asked for again while the list grows shorter.
const queue = [...props.things]
const at = ref(0)
const thing = computed(() => (at.value < queue.length ? nth(queue, at.value) : undefined))
const done = ref(0)

const scale = madeUpScale()
const { weighing, isConnected, fault, connect, tare } = useScale(scale)
/** Whether the made-up hand has the thing on the pan. */
const lies = ref(false)
const massNow = computed(() => (thing.value ? madeUpMassG(thing.value.name, thing.value.massG) : 0))

const words = computed(() => {
  if (!isConnected.value) return 'The scale is not connected any more.'
  const { phase, hint } = weighing.value
  if (hint === 'silent') return 'The scale says nothing: is it switched on, and near?'
  if (hint === 'lifted too early')
    return 'That was lifted before it stood still. Put it down once more and let go of it.'
  if (hint === 'drifted') return 'The empty pan says more than nothing: tare before the next thing.'
  switch (phase) {
    case 'waiting':
      return 'Waiting for the pan to stand still …'
    case 'empty':
      return `Put ${thing.value?.name ?? 'it'} on the pan.`
    case 'settling':
      return 'It still moves …'
    case 'settled':
      return 'It stands still.'
    case 'over':
      return 'More than the scale can weigh.'
    case 'under':
      return 'Less than nothing lies there: tare, and begin anew.'
  }
  return ''
})
const read = computed(() => weighing.value.settledG ?? weighing.value.grams)
const differs = computed(() => {
  const { settledG } = weighing.value
  if (settledG === null || !thing.value) return ''
  const more = settledG - thing.value.massG
  if (Math.abs(more) < 0.05) return 'just as it was said'
  return `${grams(Math.abs(more))} ${more > 0 ? 'more' : 'less'} than was said (${grams(thing.value.massG)})`
})

function putOn() {
  lies.value = true
  scale.put(massNow.value)
}
function takeOff() {
  lies.value = false
  scale.clear()
}
function goOn() {
  if (lies.value) takeOff()
  at.value++
}
function keep() {
  const { settledG } = weighing.value
  if (settledG === null || !thing.value) return
  emit('weighed', thing.value.id, settledG)
  done.value++
  goOn()
}
watch(thing, (next) => next === undefined && scale.clear())
</script>

<template>
  <BaseDialog open title="On the scale" @close="$emit('close')">
    <template v-if="thing">
      <p class="text-sm text-soft">
        <span class="figures">{{ at + 1 }}</span> of <span class="figures">{{ queue.length }}</span>
      </p>
      <h3 class="text-lg [overflow-wrap:anywhere]">{{ thing.name }}</h3>
      <div
        class="mt-3 rounded-md border-2 px-4 py-3 text-right"
        :class="weighing.phase === 'settled' ? 'border-petrol bg-petrol-wash' : 'border-line bg-well'"
      >
        <output
          class="figures block text-4xl font-semibold"
          :class="weighing.phase === 'settled' ? '' : 'text-soft'"
          aria-label="Reading"
          >{{ read === null ? '—' : `${read.toFixed(1)} g` }}</output
        >
      </div>
      <p role="status" class="mt-2 min-h-10 text-sm">
        {{ words }}
        <span v-if="differs" class="text-soft">{{ differs }}</span>
      </p>
      <FaultLines v-if="fault" class="mb-2" :lines="[fault]" title="Not understood; no mass was taken." />
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button button-main" :disabled="weighing.phase !== 'settled'" @click="keep">
          Keep{{ weighing.settledG === null ? '' : ` ${weighing.settledG.toFixed(1)} g` }}
        </button>
        <button type="button" class="button" :disabled="!isConnected" @click="tare">Tare</button>
        <button v-if="!isConnected" type="button" class="button" @click="connect">Connect again</button>
        <button type="button" class="button ml-auto" @click="goOn">Pass over</button>
      </div>
      <section class="mt-4 border-t border-line pt-3" aria-labelledby="made-up-scale">
        <h3 id="made-up-scale" class="text-sm font-semibold">No real scale: this one is made up</h3>
        <p class="mt-1 text-xs text-soft">
          It makes up what things weigh, close to what is said of them, and behaves as a pan does. Weigh for a ride on a
          kitchen scale, and type what that says.
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button v-if="!lies" type="button" class="button" @click="putOn">Put it on</button>
          <button v-else type="button" class="button" @click="takeOff">Take it off</button>
          <button type="button" class="button" :disabled="lies" @click="scale.putTooShortly(massNow)">
            Lift it too early
          </button>
          <button type="button" class="button" @click="scale.pullPlug()">Pull its plug</button>
          <button type="button" class="button" @click="scale.babble()">Let it babble</button>
        </div>
      </section>
    </template>
    <template v-else>
      <p>
        {{
          done === 0 ? 'Nothing was weighed.' : done === 1 ? 'One thing was weighed.' : `${done} things were weighed.`
        }}
      </p>
      <slot name="outcome" />
      <div class="mt-4 flex justify-end">
        <button type="button" class="button button-main" @click="$emit('close')">Done</button>
      </div>
    </template>
    <slot v-if="thing" name="meanwhile" />
  </BaseDialog>
</template>
