<script setup lang="ts">
import { defined, checkAgainst } from '#core/validation'
import { bikeParts, driveSchema, fastenerSchema, type Bike, type Drive, type Fastener } from '#core/bike'
import { useBikes } from '../../composables/useBikes'
import { useDraft } from '../../composables/useDraft'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'
import BaseDialog from '../common/BaseDialog.vue'

/** One fastener in full: what it takes to get hold of it, reach it, swing and pull. */
const props = defineProps<{ bike: Bike; fastener: Fastener; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const { changeFastener, removeFastener } = useBikes()

const { draft, lines, keep, change } = useDraft(fastenerSchema, props.fastener)

const profiles: Record<Drive['profile'], string> = {
  hex: 'hexagon socket',
  hexalobular: 'hexalobular, T',
  phillips: 'Phillips',
  pozidriv: 'Pozidriv',
  slot: 'slot',
  flats: 'nut or flats',
  nipple: 'spoke nipple',
  spline: 'spline of a lockring',
  'valve-core': 'valve core',
  'chain-pin': 'chain pin',
  'quick-link': 'quick link',
  'by-hand': 'turned by hand',
}
const defaultSizes: Partial<Record<Drive['profile'], number | string>> = {
  hex: 5,
  hexalobular: 25,
  phillips: 2,
  pozidriv: 2,
  slot: 4,
  flats: 10,
  nipple: 3.2,
  spline: 'c1',
  'valve-core': 'presta',
}
const sizeOf = (drive: Drive) => ('size' in drive ? String(drive.size) : '')

function setDrive(field: 'drive' | 'counterhold', profile: string, size?: string) {
  if (profile === '') {
    draft.value.counterhold = null
    return
  }
  const standard = defaultSizes[profile as Drive['profile']]
  const wanted = size ?? (standard === undefined ? '' : String(standard))
  const asNumber = Number(wanted.replace(',', '.'))
  const written = { profile, size: typeof standard === 'number' ? asNumber : wanted }
  change(() => {
    draft.value[field] = checkAgainst(driveSchema, written)
  })
}
const put = (fastener: Fastener) => changeFastener(props.bike, fastener)
async function submit(event: Event) {
  if (await keep(event, put)) emit('close')
}
function remove() {
  removeFastener(props.bike, props.fastener)
  emit('close')
}
</script>

<template>
  <BaseDialog open :title="isNew ? 'One more fastener' : fastener.name" @close="$emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="submit">
      <div class="grid grid-cols-[1fr_5rem] gap-3">
        <label class="block text-sm text-soft"
          >Name<input v-model="draft.name" class="field mt-1 text-ink" maxlength="120" autocomplete="off"
        /></label>
        <label class="block text-sm text-soft"
          >How many<input
            v-model.number="draft.count"
            type="number"
            min="1"
            max="99"
            class="field figures mt-1 text-right text-ink"
        /></label>
      </div>
      <label class="block text-sm text-soft"
        >On
        <select v-model="draft.part" class="field mt-1 text-ink">
          <option v-for="part in bikeParts" :key="part" :value="part">{{ part }}</option>
        </select>
      </label>
      <div class="grid grid-cols-[1fr_7rem] gap-3">
        <label class="block text-sm text-soft"
          >Drive
          <select
            class="field mt-1 text-ink"
            :value="draft.drive.profile"
            @change="setDrive('drive', ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="(word, profile) in profiles" :key="profile" :value="profile">{{ word }}</option>
          </select>
        </label>
        <label v-if="'size' in draft.drive" class="block text-sm text-soft"
          >Size
          <input
            class="field figures mt-1 text-ink"
            :value="sizeOf(draft.drive)"
            autocomplete="off"
            @change="setDrive('drive', draft.drive.profile, ($event.target as HTMLInputElement).value.trim())"
          />
        </label>
      </div>
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <MeasureField
          label="Tighten, from"
          :model-value="draft.torqueNm.least"
          amount="torque"
          :most="300"
          @update:model-value="$event !== null && (draft.torqueNm = { ...draft.torqueNm, least: $event })"
        />
        <MeasureField
          label="to"
          :model-value="draft.torqueNm.most"
          amount="torque"
          :most="300"
          @update:model-value="$event !== null && (draft.torqueNm = { ...draft.torqueNm, most: $event })"
        />
        <MeasureField
          label="Comes loose at"
          :model-value="draft.looseNm"
          amount="torque"
          :most="300"
          allow-none
          placeholder="as tight"
          @update:model-value="draft.looseNm = $event"
        />
        <MeasureField
          label="Lies deep"
          :model-value="draft.recessMm"
          amount="length"
          :most="400"
          @update:model-value="$event !== null && (draft.recessMm = $event)"
        />
        <MeasureField
          label="Room beside"
          :model-value="draft.roomMm"
          amount="length"
          :least="1"
          :most="500"
          @update:model-value="$event !== null && (draft.roomMm = $event)"
        />
        <MeasureField
          label="A lever swings"
          :model-value="draft.swingDeg"
          amount="angle"
          :least="5"
          :most="360"
          @update:model-value="$event !== null && (draft.swingDeg = $event)"
        />
      </div>
      <div class="space-y-1.5 text-sm">
        <label class="flex items-center gap-2"
          ><input v-model="draft.openEndOnly" type="checkbox" class="size-4 accent-(--petrol)" />Only an open end gets
          on: an axle or cable runs through</label
        >
        <label class="flex items-center gap-2"
          ><input v-model="draft.wantsTorqueKey" type="checkbox" class="size-4 accent-(--petrol)" />Clamps carbon, or
          something light that breaks</label
        >
      </div>
      <div class="grid grid-cols-[1fr_7rem] gap-3">
        <label class="block text-sm text-soft"
          >On the other side a second tool holds
          <select
            class="field mt-1 text-ink"
            :value="draft.counterhold?.profile ?? ''"
            @change="setDrive('counterhold', ($event.target as HTMLSelectElement).value)"
          >
            <option value="">nothing</option>
            <option value="flats">{{ profiles.flats }}</option>
            <option value="hex">{{ profiles.hex }}</option>
          </select>
        </label>
        <label v-if="draft.counterhold && 'size' in draft.counterhold" class="block text-sm text-soft"
          >Its size
          <input
            class="field figures mt-1 text-ink"
            :value="sizeOf(draft.counterhold)"
            autocomplete="off"
            @change="
              setDrive(
                'counterhold',
                defined(draft.counterhold).profile,
                ($event.target as HTMLInputElement).value.trim(),
              )
            "
          />
        </label>
      </div>
      <label class="block text-sm text-soft"
        >It can wait, because
        <input
          v-model="draft.canWait"
          class="field mt-1 text-ink"
          maxlength="200"
          placeholder="it cannot"
          autocomplete="off"
        />
      </label>
      <p class="text-xs text-soft">
        Torques are planning values: the maker’s manual decides. Carbon wants a torque key, steering and brakes a
        mechanic.
      </p>
      <FaultLines :lines="lines" />
      <div class="flex gap-2">
        <button v-if="!isNew" type="button" class="button mr-auto" @click="remove">Remove it</button>
        <button type="button" class="button" :class="{ 'ml-auto': isNew }" @click="$emit('close')">
          Leave it as it was
        </button>
        <button type="submit" class="button button-main">Keep</button>
      </div>
    </form>
  </BaseDialog>
</template>
