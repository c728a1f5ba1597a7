<script setup lang="ts">
import { Clock, Trash2 } from '@lucide/vue'
import { catalogue } from '~~/catalogue'
import { momentInWords, visitInWords, visitMark, type Visit } from '~~/core/ride'
import { exitKinds, type Service, type Stop } from '~~/core/supply'
import { inOrder } from '~~/core/trip'

/** Stops in the order one meets them; what each offers is set with a click. */
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()

const stops = computed(() => inOrder(store.trip!.stops))
const visitsOf = computed(() => new Map(kit.reckoning?.ride?.stops.map((visited) => [visited.stop, visited])))
/** How a service is found on the day one comes by; undefined while nobody knows which day that is. */
function visitTo(stop: Stop, kind: string): Visit | undefined {
  return visitsOf.value.get(stop.id)?.visits[stop.services.findIndex((service) => service.kind === kind)]
}
function markOf(stop: Stop, kind: string): { words: string; serves: boolean } {
  const visit = visitTo(stop, kind)
  return visit ? visitMark(visit, store.trip!.dials.waitH) : { words: '✓', serves: true }
}
function titleOf(stop: Stop, kind: string, name: string): string {
  const visit = visitTo(stop, kind)
  const hours = stop.services.find((service) => service.kind === kind)?.hours
  return [name, visit && visitInWords(visit), hours].filter(Boolean).join(': ')
}
const opened = ref('')
const short: Record<string, string> = {
  'bike-shop': 'bike shop',
  workshop: 'work­shop',
  'hardware-store': 'hard­ware',
  'outdoor-shop': 'out­door',
  supermarket: 'food',
  'fuel-station': 'fuel',
  post: 'post',
  water: 'water',
  bed: 'bed',
}

function change(stop: Stop, part: Partial<Stop>, label: string, merge?: string) {
  const next = store.trip!.stops.map((other) => (other.id === stop.id ? { ...other, ...part } : other))
  store.edit(label, { stops: part.roadKm === undefined ? next : inOrder(next) }, merge)
}
const has = (stop: Stop, kind: string) => stop.services.some((service) => service.kind === kind)
function toggle(stop: Stop, kind: string, name: string) {
  const services: Service[] = has(stop, kind)
    ? stop.services.filter((service) => service.kind !== kind)
    : [...stop.services, { kind, hours: '', stocks: {} }]
  change(stop, { services }, `${has(stop, kind) ? 'no' : 'a'} ${name} at ${stop.name}`)
}
function setHours(stop: Stop, kind: string, hours: string) {
  const services = stop.services.map((service) =>
    service.kind === kind ? { ...service, hours: hours.trim().slice(0, 200) } : service,
  )
  change(stop, { services }, `hours at ${stop.name}`)
}
function remove(stop: Stop) {
  store.edit(`remove ${stop.name}`, { stops: store.trip!.stops.filter((other) => other.id !== stop.id) })
}
function rename(stop: Stop, event: Event) {
  const input = event.target as HTMLInputElement
  const name = input.value.trim().slice(0, 120)
  if (name && name !== stop.name) change(stop, { name }, `rename ${stop.name}`)
  else input.value = stop.name
}
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Stops">
    <table v-if="stops.length" class="w-full min-w-[48rem] border-collapse text-sm">
      <thead>
        <tr class="border-b border-line text-left align-bottom text-xs text-soft">
          <th scope="col" class="w-30 py-1.5 pl-4 font-normal">place</th>
          <th scope="col" class="min-w-36 font-normal">stop</th>
          <th scope="col" class="w-28 font-normal">off the road</th>
          <th
            v-for="kind in catalogue.services"
            :key="kind.id"
            scope="col"
            class="w-11 px-0.5 text-center font-normal leading-tight"
          >
            {{ short[kind.id] ?? kind.name }}
          </th>
          <th scope="col" class="w-22 min-w-22 pl-2 font-normal">way out</th>
          <th scope="col" class="w-10"><span class="sr-only">remove</span></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="stop in stops" :key="stop.id">
          <tr class="border-b border-line hover:bg-well/50" @focusin="selection.cursorKm = stop.roadKm">
            <td class="py-1 pl-4 pr-2">
              <MeasureField
                :label="`Place of ${stop.name}`"
                label-hidden
                :model-value="stop.roadKm"
                amount="road"
                :most="kit.reckoning?.lengthKm"
                @update:model-value="$event !== null && change(stop, { roadKm: $event }, `move ${stop.name}`)"
              />
            </td>
            <td class="pr-2">
              <input
                :id="`stop-name-${stop.id}`"
                :value="stop.name"
                class="block w-full rounded-sm bg-transparent px-1 py-0.5 font-semibold hover:bg-paper focus:bg-paper"
                :aria-label="`Name of ${stop.name}`"
                maxlength="120"
                @change="rename(stop, $event)"
              />
              <span v-if="visitsOf.has(stop.id)" class="figures block px-1 pb-1 text-xs leading-none text-soft"
                >there {{ momentInWords(visitsOf.get(stop.id)!.stay.arrives) }}</span
              >
            </td>
            <td class="pr-2">
              <MeasureField
                :label="`Distance of ${stop.name} off the road`"
                label-hidden
                :model-value="stop.offRoadM / 1000"
                amount="shortWay"
                :most="100"
                @update:model-value="$event !== null && change(stop, { offRoadM: $event * 1000 }, `move ${stop.name}`)"
              />
            </td>
            <td v-for="kind in catalogue.services" :key="kind.id" class="px-0.5 text-center">
              <button
                type="button"
                class="grid h-8 w-full place-items-center rounded-sm border"
                :class="
                  !has(stop, kind.id)
                    ? 'border-line text-transparent hover:border-petrol'
                    : !markOf(stop, kind.id).serves
                      ? 'border-madder text-madder'
                      : visitTo(stop, kind.id)?.found === 'shut'
                        ? 'border-brass text-brass'
                        : 'border-petrol bg-petrol text-on-petrol'
                "
                :aria-pressed="has(stop, kind.id)"
                :aria-label="`${kind.name} at ${stop.name}`"
                :title="titleOf(stop, kind.id, kind.name)"
                @click="toggle(stop, kind.id, kind.name)"
              >
                <span class="text-[0.7rem] font-bold" :aria-hidden="!has(stop, kind.id)">{{
                  markOf(stop, kind.id).words
                }}</span>
              </button>
            </td>
            <td class="pl-2">
              <select
                class="slot min-h-8! px-1!"
                :value="stop.exit ?? ''"
                :aria-label="`Way out at ${stop.name}`"
                @change="
                  change(
                    stop,
                    { exit: (($event.target as HTMLSelectElement).value || null) as Stop['exit'] },
                    `way out at ${stop.name}`,
                  )
                "
              >
                <option value="">none</option>
                <option v-for="exit in exitKinds" :key="exit" :value="exit">{{ exit }}</option>
              </select>
            </td>
            <td class="whitespace-nowrap pr-2 text-right">
              <button
                type="button"
                class="knob knob-bare"
                :aria-expanded="opened === stop.id"
                :aria-label="`Hours and note of ${stop.name}`"
                @click="opened = opened === stop.id ? '' : stop.id"
              >
                <Clock :size="15" aria-hidden="true" />
              </button>
              <button type="button" class="knob knob-bare" :aria-label="`Remove ${stop.name}`" @click="remove(stop)">
                <Trash2 :size="15" aria-hidden="true" />
              </button>
            </td>
          </tr>
          <tr v-if="opened === stop.id" class="border-b border-line bg-well/60">
            <td :colspan="5 + catalogue.services.length" class="px-4 py-3">
              <p v-if="!stop.services.length" class="text-soft">
                Say first, with a click above, what {{ stop.name }} offers.
              </p>
              <div class="grid gap-2 md:grid-cols-2">
                <label v-for="service in stop.services" :key="service.kind" class="flex items-center gap-2 text-soft">
                  <span class="w-28 shrink-0">{{
                    catalogue.services.find(({ id }) => id === service.kind)?.name
                  }}</span>
                  <input
                    class="slot text-ink"
                    :value="service.hours"
                    placeholder="Mo-Fr 09:00-18:00; Sa 09:00-13:00"
                    maxlength="200"
                    @change="setHours(stop, service.kind, ($event.target as HTMLInputElement).value)"
                  />
                  <span v-if="visitTo(stop, service.kind)" class="w-32 shrink-0 text-xs">{{
                    visitInWords(visitTo(stop, service.kind)!)
                  }}</span>
                </label>
                <label class="flex items-center gap-2 text-soft"
                  ><span class="w-28 shrink-0">note</span>
                  <input
                    class="slot text-ink"
                    :value="stop.note"
                    maxlength="1000"
                    @change="change(stop, { note: ($event.target as HTMLInputElement).value }, `note on ${stop.name}`)"
                  />
                </label>
              </div>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <div v-else class="max-w-xl p-6">
      <h2 class="text-lg">No stops yet</h2>
      <p class="mt-1 text-soft">
        Click on the strip above where help is, then press “Stop at …”. Between two stops that stock a part lies a gap;
        the kit is made for the gaps.
      </p>
    </div>
  </div>
</template>
