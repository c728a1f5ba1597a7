<script setup lang="ts">
import { NuxtLink } from '#components'
import { catalogue } from '#catalogue'
import { hasIdentity, identitySchema, type Identity } from '#core/identity'
import type { Papers } from '#core/papers'
import { paperDocument, paperFormats, sheetIds, sheetNames, type PaperFormat, type SheetId } from '#paper'
import { Printer } from '@lucide/vue'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import { useReadyEdits } from '../../../composables/useReadyEdits'
import { useRequest } from '../../../composables/useRequest'
import { api } from '../../../http/api'
import { useKitStore } from '../../../stores/kit'
import { usePack } from '../../../stores/pack'
import { useTripStore } from '../../../stores/trip'
import { useView } from '../../../stores/view'

/** The papers to carry, as they will come out of the printer. */
const store = useTripStore()
const kit = useKitStore()
const pack = usePack()
const { system } = useView()
const { setState } = useReadyEdits()
const { lines, attempt } = useRequest()
pack.watchKit()

const papers = shallowRef<Papers>()
const chosen = ref<SheetId[]>(sheetIds.filter((id) => id !== 'identity'))
const format = ref<PaperFormat>(system.value === 'imperial' ? 'letter' : 'a4')
const identity = shallowRef<Identity | null>(null)
const wantsIdentity = computed(() => chosen.value.includes('identity'))
const address = computed(() => `${location.origin}/trips/${store.id}/ready`)

watchDebounced(
  () => [pack.plans, pack.isBusy, store.trip?.stops, store.trip?.bikes, store.trip?.crew, store.trip?.name] as const,
  async () => {
    if (!pack.isBusy && pack.plans) papers.value = (await kit.gatherPapers(store.openTrip)) ?? papers.value
  },
  { immediate: true, debounce: 150 },
)
/** It is asked for only once somebody wants it on paper. */
watch(wantsIdentity, (isWanted) => {
  if (isWanted && !identity.value)
    void attempt(async () => {
      identity.value = identitySchema.parse(await api('/api/account/identity'))
    })
})
const isIdentityEmpty = computed(() => identity.value !== null && !hasIdentity(identity.value))

const page = computed(() =>
  papers.value
    ? paperDocument(
        papers.value,
        { ...catalogue, bikes: store.openTrip.bikes },
        {
          format: format.value,
          sheets: chosen.value,
          system: system.value,
          address: address.value,
          identity: wantsIdentity.value ? identity.value : null,
        },
      )
    : '',
)
const frame = useTemplateRef<HTMLIFrameElement>('frame')
const heightPx = ref(1000)
/** As high as all of it: nothing is scrolled within something that is scrolled. */
function fit() {
  const { body } = frame.value?.contentDocument ?? {}
  if (body) heightPx.value = body.scrollHeight + 8
}
function print() {
  frame.value?.contentWindow?.print()
}
const isDone = computed(() => store.openTrip.home.papers.state === 'done')
const done = () => setState({ about: { kind: 'papers' }, pieces: null }, isDone.value ? 'open' : 'done')
</script>

<template>
  <div class="pb-6">
    <header class="md:tall:sticky top-0 z-20 border-b border-line bg-paper px-4 py-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Papers</h1>
        <NuxtLink :to="`/trips/${store.id}/ready`" class="text-sm underline">back to Ready</NuxtLink>
        <p class="text-sm text-soft" role="status">
          <template v-if="pack.isBusy && kit.chosen?.kit">Packing …</template>
        </p>
        <div class="ml-auto flex flex-wrap items-center gap-3">
          <label class="flex items-center gap-2 text-sm text-soft"
            >on
            <select v-model="format" class="field w-auto! text-ink">
              <option v-for="(paper, id) in paperFormats" :key="id" :value="id">{{ paper.name }}</option>
            </select>
          </label>
          <button type="button" class="button button-main" :disabled="!page || chosen.length === 0" @click="print">
            <Printer :size="15" aria-hidden="true" />Print
          </button>
        </div>
      </div>
      <fieldset class="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
        <legend class="sr-only">Sheets</legend>
        <label v-for="id in sheetIds" :key="id" class="flex items-center gap-2 pointer-coarse:min-h-11">
          <input v-model="chosen" type="checkbox" class="size-4 accent-petrol" :value="id" />{{ sheetNames[id] }}
        </label>
        <label class="ml-auto flex items-center gap-2 pointer-coarse:min-h-11">
          <input type="checkbox" class="size-4 accent-petrol" :checked="isDone" @change="done" />printed
        </label>
      </fieldset>
      <FaultLines class="mt-2" :lines="lines" />
      <p v-if="wantsIdentity && isIdentityEmpty" class="mt-2 text-sm text-soft">
        Nothing stands on your card yet:
        <NuxtLink to="/account#identity" class="underline">write it in your account</NuxtLink>.
      </p>
    </header>
    <p v-if="!papers && !pack.isBusy" class="max-w-prose p-4 text-sm text-soft">
      There is nothing to print yet: it takes a road, riders, and
      <NuxtLink :to="`/trips/${store.id}/bench`" class="underline">something on the bench</NuxtLink>.
    </p>
    <p v-else-if="!papers" class="p-4 text-sm text-soft">Putting the papers together …</p>
    <div v-else class="overflow-x-auto bg-well p-4">
      <iframe
        ref="frame"
        title="The papers as they are printed"
        class="mx-auto block w-full max-w-[216mm] border border-line bg-white shadow"
        :style="{ height: `${heightPx}px` }"
        :srcdoc="page"
        data-papers
        @load="fit"
      />
    </div>
  </div>
</template>
