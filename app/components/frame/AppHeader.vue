<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown, Moon, Redo2, Search, Sun, Undo2 } from '@lucide/vue'
import { NuxtLink } from '#components'
import { computed, defineAsyncComponent, ref, watch, type Component } from 'vue'
import { jsonBlob } from '../../http/json-blob'
import { saveAs } from '../../http/save-as'
import { usePerson } from '../../stores/person'
import { useView } from '../../stores/view'
import { useTripStore } from '../../stores/trip'
import SignOutDialog from './SignOutDialog.vue'

defineProps<{ inTrip?: boolean }>()
defineEmits<{ find: []; keys: []; road: [withTimes: boolean] }>()

const store = useTripStore()
const { person, isGuest } = usePerson()
/** The list of words is long, and read once. */
const WordsDialog = defineAsyncComponent(() => import('./WordsDialog.vue') as Promise<Component>)

const leaving = ref(false)
const showsWords = ref(false)
const { scheme, system, toggleScheme, toggleUnits } = useView()

const savedWords = computed(() => {
  if (store.isOtherwise) return 'supposed, not saved'
  switch (store.state.kind) {
    case 'clean':
      if (store.access.role === 'reader') return 'you read this plan'
      return isGuest.value ? 'kept on this device' : 'saved'
    case 'dirty':
    case 'saving':
      return 'saving …'
    case 'offline':
      return 'kept on this device'
    case 'conflict':
      return 'changed on another device'
    default:
      return 'not saved'
  }
})
const isCalm = computed(() => ['clean', 'dirty', 'saving', 'offline'].includes(store.state.kind))

/** The document as it is here, with what the server does not have yet. */
async function downloadTrip() {
  const { openTrip } = store
  saveAs(await jsonBlob(openTrip), `${openTrip.name}.rag-tin.json`)
}

const name = ref('')
watch(
  () => store.trip?.name,
  (value) => (name.value = value ?? ''),
  { immediate: true },
)
function rename() {
  const next = name.value.trim().slice(0, 120)
  if (next && next !== store.trip?.name) store.edit('rename the trip', { name: next })
  else name.value = store.trip?.name ?? ''
}
</script>

<template>
  <header
    class="flex min-h-11 items-center max-[20rem]:flex-wrap gap-3 bg-tin px-4 max-sm:gap-1 max-sm:px-1 text-tin-ink"
  >
    <NuxtLink
      to="/trips"
      no-prefetch
      class="flex shrink-0 items-center justify-center gap-2 pointer-coarse:min-h-11 pointer-coarse:min-w-11 font-bold tracking-tight [font-stretch:112%]"
    >
      <img src="/tin.svg" alt="" class="size-6 shrink-0" />
      <span class="hidden sm:inline">Rag Tin</span><span class="sr-only">: all trips</span>
    </NuxtLink>
    <template v-if="inTrip && store.trip">
      <span aria-hidden="true" class="text-tin-ink/40">/</span>
      <input
        v-model="name"
        aria-label="Name of the trip"
        maxlength="120"
        class="min-w-16 max-w-[40vw] shrink truncate field-sizing-content rounded-sm bg-transparent px-1.5 py-0.5 pointer-coarse:min-h-11 hover:bg-white/10 focus:bg-white/10"
        @change="rename"
        @keydown.enter="($event.target as HTMLInputElement).blur()"
      />
      <p
        role="status"
        class="hidden whitespace-nowrap text-xs sm:block"
        :class="isCalm ? 'text-tin-ink/75' : 'rounded bg-[#f6dcd3] px-1.5 py-0.5 font-semibold text-[#7d1a1a]'"
      >
        {{ savedWords }}
      </p>
    </template>
    <div class="on-screen ml-auto flex items-center gap-1 max-sm:gap-0">
      <template v-if="inTrip && store.trip">
        <button type="button" class="lid" @click="$emit('find')">
          <Search :size="16" class="md:hidden" aria-hidden="true" /><span class="max-md:sr-only">Find</span>
          <kbd class="max-md:hidden" aria-hidden="true">/</kbd>
        </button>
        <button
          type="button"
          class="lid"
          :disabled="!store.undoLabel"
          :title="store.undoLabel ? `Undo: ${store.undoLabel}` : 'Nothing to undo'"
          @click="store.undo()"
        >
          <Undo2 :size="16" aria-hidden="true" /><span class="sr-only">Undo {{ store.undoLabel }}</span>
        </button>
        <button
          type="button"
          class="lid"
          :disabled="!store.redoLabel"
          :title="store.redoLabel ? `Redo: ${store.redoLabel}` : 'Nothing to redo'"
          @click="store.redo()"
        >
          <Redo2 :size="16" aria-hidden="true" /><span class="sr-only">Redo {{ store.redoLabel }}</span>
        </button>
        <span class="max-md:hidden"
          ><button type="button" class="lid" @click="$emit('keys')">Keys <kbd>?</kbd></button></span
        >
      </template>
      <button
        type="button"
        class="lid"
        :title="scheme === 'day' ? 'Night colours' : 'Day colours'"
        @click="toggleScheme"
      >
        <Moon v-if="scheme === 'day'" :size="16" aria-hidden="true" /><Sun v-else :size="16" aria-hidden="true" />
        <span class="sr-only">{{ scheme === 'day' ? 'Night colours' : 'Day colours' }}</span>
      </button>
      <Menu v-if="person" as="div" class="relative">
        <MenuButton class="lid max-w-20 sm:max-w-40">
          <span class="truncate">{{ person.name }}</span><ChevronDown :size="14" aria-hidden="true" />
        </MenuButton>
        <MenuItems class="absolute right-0 z-40 mt-1 w-56 rounded border border-line bg-paper p-1 text-ink shadow-xl">
          <MenuItem v-slot="{ active }">
            <NuxtLink to="/trips" class="menu-line" :class="{ 'bg-well': active }">All trips</NuxtLink>
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <NuxtLink to="/shed" class="menu-line" :class="{ 'bg-well': active }">Shed</NuxtLink>
          </MenuItem>
          <MenuItem v-if="isGuest" v-slot="{ active }">
            <NuxtLink :to="{ path: '/', query: { up: '' } }" class="menu-line" :class="{ 'bg-well': active }"
              >Sign up, or sign in</NuxtLink
            >
          </MenuItem>
          <MenuItem v-else v-slot="{ active }">
            <NuxtLink to="/account" class="menu-line" :class="{ 'bg-well': active }">Account</NuxtLink>
          </MenuItem>
          <MenuItem v-if="inTrip && store.trip" v-slot="{ active }">
            <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="downloadTrip">
              Export this trip
            </button>
          </MenuItem>
          <MenuItem v-if="inTrip && store.trip?.road.points.length" v-slot="{ active }">
            <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="$emit('road', false)">
              Export the road as GPX
            </button>
          </MenuItem>
          <MenuItem v-if="inTrip && store.trip?.road.points.length && store.trip.ride.start" v-slot="{ active }">
            <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="$emit('road', true)">
              Export it with the ride’s times
            </button>
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="toggleUnits">
              Show {{ system === 'metric' ? 'ounces and miles' : 'grams and kilometres' }}
            </button>
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="showsWords = true">
              What words mean
            </button>
          </MenuItem>
          <MenuItem v-if="!isGuest" v-slot="{ active }">
            <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="leaving = true">
              Sign out
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
    <WordsDialog v-if="showsWords" @close="showsWords = false" />
    <SignOutDialog v-if="leaving" @close="leaving = false" />
  </header>
</template>

<style scoped>
@reference '~/assets/tin.css';
.lid {
  @apply flex min-h-8 items-center gap-1.5 rounded-sm px-2 text-sm text-tin-ink hover:bg-white/10 disabled:opacity-40;
  @apply pointer-coarse:min-h-11 pointer-coarse:min-w-11 max-md:justify-center max-sm:px-1;
}
.lid kbd {
  @apply rounded-sm border border-tin-ink/40 px-1 font-mono text-xs;
}
</style>
