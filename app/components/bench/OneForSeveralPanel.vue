<script setup lang="ts">
import type { CandidateFit, OneForSeveral } from '#core/candidates'
import { amountInWords, fitReasonWords } from '#wording'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useCandidates, type ToolRef } from '../../stores/candidates'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** One tool in the place of several that are carried: what it would save, and which jobs would be harder. */
const store = useTripStore()
const kit = useKitStore()
const tried = useCandidates()
const { grams, system } = useView()

const found = shallowRef<readonly OneForSeveral[]>()
/** What it is that they could stand for. */
const among = ref<'kit' | 'bench'>('kit')
let asked = 0
watchDebounced(
  () => kit.chosen,
  async () => {
    const mine = ++asked
    const ofKit = await kit.oneForSeveral('kit')
    const next = ofKit.length > 0 ? ofKit : await kit.oneForSeveral('bench')
    if (mine !== asked) return
    found.value = next
    among.value = ofKit.length > 0 ? 'kit' : 'bench'
  },
  { immediate: true, debounce: 300 },
)
/** So many are told at first. */
const fewest = 4
const showsAll = ref(false)
const shown = computed(() => (showsAll.value ? found.value : found.value?.slice(0, fewest)) ?? [])

const bikeName = (id: string) => store.openTrip.bikes.find((bike) => bike.id === id)?.name ?? id
const howIs = ({ isEasy, best }: CandidateFit) =>
  isEasy
    ? 'with ease'
    : best?.verdict === 'awkward'
      ? fitReasonWords[best.reason]
      : `pulling ${amountInWords(best?.handN ?? 0, 'force', system.value)}`
const names = (things: readonly { readonly name: string }[]) => things.map(({ name }) => name).join(' · ')
const isOnBench = (id: string) => store.openTrip.bench.some((thing) => thing.id === id)
const refOf = (id: string): ToolRef => (isOnBench(id) ? `bench:${id}` : (id as ToolRef))
/** Both are looked at in full, bolt by bolt. */
const compare = ({ tool, instead }: OneForSeveral) =>
  tried.put([instead.map(({ id }): ToolRef => `bench:${id}`), [refOf(tool.id)]])
</script>

<template>
  <section class="border-t border-line p-4" aria-labelledby="one-for-several">
    <h2 id="one-for-several" class="text-base">One for several</h2>
    <p class="mt-1 max-w-prose text-xs text-soft">
      {{
        among === 'kit'
          ? 'Of what the kit takes:'
          : 'The kit takes nothing that one tool could stand for. Of all that lies on the bench:'
      }}
      a tool that could stand for several, so that all they turn on these bikes still turns. Whether the same person can
      do it, and whether the tool lasts, is not asked here.
    </p>
    <p v-if="found === undefined" role="status" class="mt-2 text-sm text-soft">Looking …</p>
    <p v-else-if="!found.length" class="mt-2 text-sm text-soft">
      No tool of the bench or the catalogue stands for two others and is lighter.
    </p>
    <ul v-else class="mt-2 border-t border-line" aria-label="One for several">
      <li v-for="each in shown" :key="each.tool.id" class="border-b border-line py-2 text-sm">
        <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <strong class="min-w-0 [overflow-wrap:anywhere]">{{ each.tool.name }}</strong>
          <span v-if="!isOnBench(each.tool.id)" class="text-xs text-soft">not on the bench</span>
          <span class="ml-auto"
            ><span class="figures font-semibold">{{ grams(each.savedG) }}</span> less</span
          >
          <button
            type="button"
            class="button min-h-7!"
            :aria-label="`Side by side: ${each.tool.name} and what it stands for`"
            @click="compare(each)"
          >
            Side by side
          </button>
        </div>
        <p class="mt-0.5 [overflow-wrap:anywhere]">
          <span class="text-soft">instead of</span> {{ names(each.instead) }}
        </p>
        <p v-if="!each.harder.length" class="mt-0.5 text-xs text-soft">No bolt of these bikes is harder with it.</p>
        <details v-else class="mt-0.5 text-xs">
          <summary class="pointer-coarse:min-h-11 pointer-coarse:py-3">
            harder: {{ each.harder.length === 1 ? 'one bolt' : `${each.harder.length} bolts` }}
          </summary>
          <ul class="mt-1 space-y-0.5 pl-4">
            <li v-for="{ with: after, instead } in each.harder" :key="`${after.bike} ${after.fastener.id}`">
              {{ after.fastener.name }} <span class="text-soft">({{ bikeName(after.bike) }})</span>: {{ howIs(after) }},
              <span class="text-soft">not {{ howIs(instead) }}</span>
            </li>
          </ul>
        </details>
      </li>
    </ul>
    <button
      v-if="found && found.length > fewest"
      type="button"
      class="mt-2 text-sm underline pointer-coarse:min-h-11"
      @click="showsAll = !showsAll"
    >
      {{ showsAll ? 'fewer' : `all ${found.length}` }}
    </button>
  </section>
</template>
