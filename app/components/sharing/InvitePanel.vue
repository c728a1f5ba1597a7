<script setup lang="ts">
import { invitationDays } from '#core/access'
import { useClipboard } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRequest } from '../../composables/useRequest'
import { usePeople, type Invitation } from '../../stores/people'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'
import { localeOfApp } from '../common/locale-of-app'

/** Links that let others join: made, copied, revoked. */
const store = useTripStore()
const people = usePeople()
const { busy, lines, attempt } = useRequest()
const { copy, copied, isSupported } = useClipboard({ legacy: true })

/** Riders of the crew that nobody who shares the plan is. */
const free = computed(() => store.openTrip.crew.filter(({ id }) => !people.people.some(({ rider }) => rider === id)))
/** A rider's id; empty to read. */
const as = ref('')
watch(free, (riders) => {
  if (as.value && !riders.some(({ id }) => id === as.value)) as.value = ''
})
const made = shallowRef<{ readonly id: string; readonly link: string }>()
/** One that was used or revoked is shown no longer. */
const link = computed(() => people.invitations.find(({ id }) => id === made.value?.id) && made.value?.link)

const make = () =>
  attempt(async () => {
    made.value = await people.invite(as.value ? 'rider' : 'reader', as.value || null)
  })
const riderName = (id: string | null) => store.openTrip.crew.find((rider) => rider.id === id)?.name ?? 'a rider'
const invitesTo = ({ role, rider }: Invitation) =>
  role === 'reader' ? 'to read, for whoever has it' : `to ride along as ${riderName(rider)}, used once`
const dayOf = (at: string) => new Date(at).toLocaleDateString(localeOfApp, { day: 'numeric', month: 'long' })
</script>

<template>
  <section aria-labelledby="invite-title">
    <h2 id="invite-title" class="text-base">Invite</h2>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="make">
      <label class="block text-sm text-soft"
        >Somebody
        <select v-model="as" class="field mt-1 text-ink">
          <option v-for="rider in free" :key="rider.id" :value="rider.id">to ride along as {{ rider.name }}</option>
          <option value="">to read</option>
        </select>
      </label>
      <button type="submit" class="button button-main" :disabled="busy">Make a link</button>
    </form>
    <FaultLines class="mt-3" :lines="lines" />
    <div v-if="link" class="mt-3 max-w-2xl rounded border border-line bg-well p-3">
      <label class="block text-sm text-soft"
        >Send this link; it is shown this once
        <input
          class="field figures mt-1 text-ink"
          readonly
          :value="link"
          @focus="($event.target as HTMLInputElement).select()"
        />
      </label>
      <p class="mt-2 flex justify-end gap-2">
        <button v-if="isSupported" type="button" class="button" @click="copy(link)">
          {{ copied ? 'Copied' : 'Copy it' }}
        </button>
        <button type="button" class="button" @click="made = undefined">Done</button>
      </p>
    </div>
    <template v-if="people.invitations.length">
      <h3 class="mt-4 text-sm font-semibold">Links that are good</h3>
      <ul class="mt-1 border-t border-line" aria-label="Links that are good">
        <li
          v-for="each in people.invitations"
          :key="each.id"
          class="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5 text-sm"
        >
          <span class="min-w-0 flex-1 basis-48">
            {{ invitesTo(each) }}
            <span class="text-soft">· made {{ dayOf(each.createdAt) }}, good for {{ invitationDays }} days</span>
          </span>
          <button
            type="button"
            class="button min-h-7!"
            :aria-label="`Revoke the link ${invitesTo(each)}`"
            :disabled="busy"
            @click="attempt(() => people.revoke(each.id))"
          >
            Revoke
          </button>
        </li>
      </ul>
    </template>
  </section>
</template>
