<script setup lang="ts">
import { catalogue } from '#catalogue'
import { putAway, sinceShed } from '#core/learn'
import { parseWallClock } from '#core/ride'
import { amountOfClassInWords, dayInWords } from '#wording'
import { computed } from 'vue'
import { useRequest } from '../../composables/useRequest'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useShed } from '../../stores/shed'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'

/** What the ride did to things that were laid from this person’s shed: told to the shed when they say so. */
const store = useTripStore()
const shed = useShed()
const { mayWrite, me, put } = useTrailEdits()
const { busy, lines, attempt } = useRequest()
void shed.open()

const rows = computed(() =>
  sinceShed(store.openTrip, catalogue).flatMap((since) => {
    const owned = shed.byId.value.get(since.shed)
    const bringer = store.openTrip.bench.find(({ id }) => id === since.thing)?.broughtBy ?? me.value
    return owned && bringer === me.value ? [{ since, owned, after: putAway(owned, since, catalogue.families) }] : []
  }),
)
type Row = (typeof rows.value)[number]
const onDay = (day: string) => dayInWords(parseWallClock(`${day}T00:00`))

function changed({ since, owned, after }: Row): string[] {
  if (!after) return ['none is left: it goes out of the shed']
  const left = Object.entries(since.spent).flatMap(([stock, amount]) =>
    since.gone === 0 && amount > 0
      ? [`${amountOfClassInWords(after.count * (after.units[stock] ?? 0), stock, catalogue.families)} left`]
      : [],
  )
  return [
    ...(since.uses > 0 ? [`used ${since.uses === 1 ? 'once' : `${since.uses} times`}`] : []),
    ...(since.uses < 0 ? [`used less often, by ${-since.uses}: it was taken back`] : []),
    ...(since.gone !== 0 ? [`${after.count} instead of ${owned.count}`] : []),
    ...left,
    ...(after.opened !== owned.opened && after.opened ? [`open since ${onDay(after.opened)}`] : []),
    ...(after.tested !== owned.tested && after.tested ? [`good on ${onDay(after.tested)}`] : []),
  ]
}

const tell = () =>
  attempt(async () => {
    const now = rows.value
    await shed.edit(`put away after ${store.openTrip.name}`, new Map(now.map(({ owned, after }) => [owned.id, after])))
    const things = now.map(({ since: { thing, inAll } }) => ({ thing, ...inAll }))
    put({ kind: 'put away', roadKm: null, things })
  })
</script>

<template>
  <section v-if="rows.length" class="border-b border-line px-4 py-4" aria-labelledby="put-away-title">
    <h2 id="put-away-title" class="text-lg">Back into the shed</h2>
    <p class="max-w-prose text-sm text-soft">What the log says of things of yours, and your shed does not know yet.</p>
    <FaultLines v-if="lines.length" class="mt-2" :lines="lines" />
    <ul class="mt-1">
      <li v-for="row in rows" :key="row.since.thing" class="border-t border-line py-1.5 text-sm">
        <span class="font-semibold">{{ row.owned.name }}</span>: {{ changed(row).join(', ') }}
      </li>
    </ul>
    <button v-if="mayWrite" type="button" class="button button-main mt-2" :disabled="busy" @click="tell">
      Put it away so
    </button>
  </section>
</template>
