<script setup lang="ts">
import { chanceInWords, hoursInWords, movedInWords } from '#wording'
import { NuxtLink } from '#components'
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { refusedInWords } from '../../session/words'
import { useKitStore } from '../../stores/kit'
import { useSupposition } from '../../stores/supposition'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** While something is supposed: what it does to the kit, to be kept or let go. */
const store = useTripStore()
const kitStore = useKitStore()
const supposition = useSupposition()
const { grams } = useView()

const isReckoning = computed(() => kitStore.busy || kitStore.weighing)
const figures = computed(() => {
  const [from, to] = [supposition.before?.chosen?.kit, kitStore.chosen?.kit]
  if (!from || !to) return []
  return [
    { name: 'carried', from: grams(from.massG), to: grams(to.massG) },
    { name: 'lost in all', from: hoursInWords(from.promiseH), to: hoursInWords(to.promiseH) },
    { name: 'stranded', from: chanceInWords(from.stranded), to: chanceInWords(to.stranded) },
  ]
})
const comes = computed(() => movedInWords(supposition.moved, 'comes'))
/** On a small screen the names are folded until they are asked for. */
const isNarrow = useMediaQuery('(max-width: 39.99rem)')
const sides = computed(() => {
  const count = (sign: 1 | -1) => supposition.moved.filter(({ by }) => by * sign > 0).length
  return `comes along: ${count(1)} · stays at home: ${count(-1)}`
})
/** The first of what is not theirs, and how much more there is. */
const notTheirs = computed(() => {
  const [first, ...others] = store.notTheirs
  if (!first) return ''
  return `${refusedInWords(first)}${others.length > 0 ? `; and ${others.length} more` : ''}. Ask the owner of the plan.`
})
const stays = computed(() => movedInWords(supposition.moved, 'stays'))
</script>

<template>
  <section
    v-if="supposition.isOn"
    aria-label="Suppose"
    class="on-screen flex max-h-[40vh] shrink-0 items-start gap-x-5 gap-y-1.5 overflow-y-auto border-y-2 border-dashed border-brass bg-brass-wash px-4 py-1.5 text-sm max-sm:flex-col"
    :aria-busy="isReckoning"
  >
    <div role="status" class="flex min-h-7 min-w-0 flex-1 flex-wrap items-center gap-x-5 gap-y-0.5">
      <p class="font-semibold">Suppose it were otherwise: nothing is saved.</p>
      <p v-if="store.notTheirs.length" class="w-full">
        {{
          store.access.role === 'reader'
            ? 'You read this plan, so it cannot be kept: tell its owner.'
            : `It cannot be kept: ${notTheirs}`
        }}
      </p>
      <p v-if="!store.isOtherwise" class="text-soft">Change anything: a shop, an hour, a bike, a hand, the dial.</p>
      <dl v-else class="contents">
        <div v-for="{ name, from, to } in figures" :key="name" class="flex gap-1.5">
          <dt class="text-soft">{{ name }}</dt>
          <dd class="figures">
            <template v-if="from === to">{{ to }}</template><template v-else
              ><s class="text-soft">{{ from }}</s> <strong>{{ to }}</strong></template
            >
          </dd>
        </div>
      </dl>
      <details v-if="store.isOtherwise && (comes || stays)" class="w-full" :open="!isNarrow">
        <summary class="pointer-coarse:min-h-11 pointer-coarse:py-3 sm:hidden">{{ sides }}</summary>
        <dl>
          <div v-if="comes">
            <dt class="inline text-soft">comes along:</dt>
            {{ ' ' }}
            <dd class="inline">{{ comes }}</dd>
          </div>
          <div v-if="stays">
            <dt class="inline text-soft">stays at home:</dt>
            {{ ' ' }}
            <dd class="inline">{{ stays }}</dd>
          </div>
        </dl>
      </details>
      <p v-else-if="store.isOtherwise && !isReckoning" class="text-soft">the same kit</p>
    </div>
    <span class="flex shrink-0 gap-2 max-sm:w-full max-sm:justify-end">
      <NuxtLink v-if="store.isOtherwise" class="button min-h-7!" :to="`/trips/${store.id}/weigh?room=kits`"
        >Compare</NuxtLink
      >
      <button type="button" class="button min-h-7!" @click="supposition.letGo()">Let it go</button>
      <button
        type="button"
        class="button button-main min-h-7!"
        :disabled="!store.isOtherwise || store.notTheirs.length > 0"
        @click="supposition.keep()"
      >
        Keep it
      </button>
    </span>
  </section>
</template>
