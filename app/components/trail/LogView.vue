<script setup lang="ts">
import { catalogue } from '#catalogue'
import { parseWallClock } from '#core/ride'
import { entryInWords, momentInWords } from '#wording'
import { computed } from 'vue'
import { usePhotos } from '../../composables/usePhotos'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { Here } from '../../workers/trail-guide'
import LogGone from './LogGone.vue'
import LogGot from './LogGot.vue'
import LogLoose from './LogLoose.vue'
import LogNote from './LogNote.vue'
import LogRenewed from './LogRenewed.vue'
import LogShop from './LogShop.vue'

/** What happened: a touch or two for each, with the time and the place by themselves. */
defineProps<{ here: Here }>()
const store = useTripStore()
const trail = useTrail()
const { mayWrite, remove } = useTrailEdits()
const { writing, see } = useTrailSight()
const { photos, remove: removePhoto } = usePhotos()
const photosOfEntry = (id: string) => photos.value.filter(({ row }) => row.entry === id)
const { km } = useView()

const kinds = [
  { id: 'gone', name: 'Used up, broke, lost' },
  { id: 'got', name: 'Bought, given, lent' },
  { id: 'loose', name: 'Found loose' },
  { id: 'renewed', name: 'Part made new' },
  { id: 'shop', name: 'A shop as it was' },
  { id: 'note', name: 'A note, a photo' },
]
const form = computed(() => kinds.find(({ id }) => id === writing.value))
const entries = computed(() => trail.entries.toReversed())
const nameOf = (rider: string | null) => store.openTrip.crew.find(({ id }) => id === rider)?.name ?? ''
</script>

<template>
  <div class="px-4 pb-4 pt-3">
    <template v-if="form && mayWrite">
      <h1 class="text-2xl">{{ form.name }}</h1>
      <div class="mt-3">
        <LogGone v-if="form.id === 'gone'" :here="here" @done="see('log')" />
        <LogGot v-else-if="form.id === 'got'" :here="here" @done="see('log')" />
        <LogLoose v-else-if="form.id === 'loose'" :here="here" @done="see('log')" />
        <LogRenewed v-else-if="form.id === 'renewed'" :here="here" @done="see('log')" />
        <LogShop v-else-if="form.id === 'shop'" :here="here" @done="see('log')" />
        <LogNote v-else :here="here" @done="see('log')" />
      </div>
    </template>
    <template v-else>
      <h1 class="text-2xl">Log</h1>
      <div v-if="mayWrite" class="mt-3 grid grid-cols-2 gap-2">
        <button
          v-for="kind in kinds"
          :key="kind.id"
          type="button"
          class="trail-key"
          @click="see('log', { write: kind.id })"
        >
          {{ kind.name }}
        </button>
        <button type="button" class="trail-key col-span-2" @click="see('broke')">It broke, mine or a stranger’s</button>
      </div>
      <p v-else class="mt-2 text-base">You read this plan: whoever rides writes its log.</p>
      <p v-if="entries.length === 0" class="mt-4 text-base text-soft">
        Nothing yet. What you write here stays on this device until there is a network.
      </p>
      <ul class="mt-4" aria-label="What happened, the last first">
        <li v-for="entry in entries" :key="entry.id" class="border-b border-line py-2 text-base" data-entry>
          <p class="figures text-soft">
            {{ momentInWords(parseWallClock(entry.at))
            }}<template v-if="entry.roadKm !== null"> · {{ km(entry.roadKm) }}</template
            ><template v-if="nameOf(entry.by)"> · {{ nameOf(entry.by) }}</template>
          </p>
          <div class="flex items-start gap-3">
            <p class="min-w-0 flex-1 [overflow-wrap:anywhere] first-letter:uppercase">
              {{ entryInWords(entry, store.openTrip, catalogue) }}
              <span v-if="entry.note && entry.kind !== 'note'" class="block text-soft">{{ entry.note }}</span>
            </p>
            <button
              v-if="mayWrite"
              type="button"
              class="min-h-11 min-w-11 shrink-0 text-base underline"
              :aria-label="`Take back: ${entryInWords(entry, store.openTrip, catalogue)}`"
              @click="remove(entry)"
            >
              Take back
            </button>
          </div>
          <div v-for="photo in photosOfEntry(entry.id)" :key="photo.row.id" class="relative mt-1">
            <img :src="photo.address" :alt="`Photo: ${entry.note}`" class="max-h-60 w-full rounded object-cover" />
            <button
              type="button"
              class="trail-key absolute right-1 top-1 min-h-11! bg-paper!"
              :aria-label="`Remove the photo: ${entry.note}`"
              @click="removePhoto(photo)"
            >
              Remove
            </button>
          </div>
        </li>
      </ul>
    </template>
  </div>
</template>
