<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Route } from '@lucide/vue'
import { turnedRound } from '#core/crew'
import { mostOfACard } from '#core/road'
import type { Reshaped, Trip } from '#core/trip'
import { computed, useTemplateRef } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'

/** What can be done to the line itself: turned round, cut at the cursor, carried on by another file, written anew. */
const emit = defineEmits<{ done: [notices: string[]]; failed: [lines: string[]]; write: [] }>()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { km } = useView()
const picker = useTemplateRef<HTMLInputElement>('picker')

const lengthKm = computed(() => kit.analysis?.lengthKm ?? 0)
/** Nobody writes down what a recorder did. */
const isWritable = computed(() => store.openTrip.road.points.length <= mostOfACard)
const inside = computed(() => selection.cursorKm > 0.1 && selection.cursorKm < lengthKm.value - 0.1)

async function reverseRoad() {
  const { cursorKm } = selection
  const length = lengthKm.value
  const edit = store.editLater()
  const answer = await kit.reverseRoad()
  const crew = turnedRound(store.openTrip.crew)
  if (lay(edit, 'turn the road round', answer, crew === store.openTrip.crew ? {} : { crew }))
    selection.cursorKm = length - cursorKm
}
async function cutOff(part: 'before' | 'after') {
  const at = selection.cursorKm
  const [fromKm, toKm] = part === 'before' ? [at, lengthKm.value] : [0, at]
  const label = `cut off the road ${part === 'before' ? 'before' : 'after'} ${km(at)}`
  const edit = store.editLater()
  if (lay(edit, label, await kit.cutRoad(fromKm, toKm))) selection.cursorKm = part === 'before' ? 0 : at
}
/** Lays the road anew with what else changes by it, or says why not. */
function lay(
  edit: typeof store.edit,
  label: string,
  answer: { ok: true; next: Reshaped } | { ok: false; lines: string[] },
  others: Partial<Pick<Trip, 'crew'>> = {},
): boolean {
  if (!answer.ok) {
    emit('failed', answer.lines)
    return false
  }
  const { leftOut, ...next } = answer.next
  edit(label, { ...next, ...others })
  emit('done', leftOut.length ? [`Cut off with the road (undo brings them back): ${leftOut.join(', ')}.`] : [])
  return true
}
async function join(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  const edit = store.editLater()
  const answer = await kit.joinRoad(await file.text())
  lay(
    edit,
    `carry on with ${file.name}`,
    answer.ok ? answer : { ok: false, lines: answer.lines.map((line) => `${file.name}: ${line}`) },
  )
}
</script>

<template>
  <!-- On a small screen it goes from edge to edge of the page, wherever its button has come to stand. -->
  <Menu as="div" class="md:relative">
    <MenuButton class="button"><Route :size="15" aria-hidden="true" />The line</MenuButton>
    <MenuItems
      class="card absolute inset-x-4 z-30 mt-1 p-1 shadow-lg focus:outline-none md:inset-x-auto md:right-0 md:w-72"
    >
      <MenuItem v-slot="{ active }">
        <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="reverseRoad">
          Ride it the other way
        </button>
      </MenuItem>
      <MenuItem v-for="part in ['before', 'after'] as const" :key="part" v-slot="{ active }" :disabled="!inside">
        <button
          type="button"
          class="menu-line"
          :class="{ 'bg-well': active }"
          :disabled="!inside"
          @click="cutOff(part)"
        >
          {{ part === 'before' ? 'Begin' : 'End' }} at {{ km(selection.cursorKm) }}
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="picker?.click()">
          Carry on with another GPX file …
        </button>
      </MenuItem>
      <MenuItem v-if="isWritable" v-slot="{ active }">
        <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="emit('write')">
          Change its places and legs …
        </button>
      </MenuItem>
    </MenuItems>
    <input
      ref="picker"
      type="file"
      accept=".gpx,application/gpx+xml,application/xml,text/xml"
      class="sr-only"
      aria-label="Road to carry on with"
      tabindex="-1"
      @change="join"
    />
  </Menu>
</template>
