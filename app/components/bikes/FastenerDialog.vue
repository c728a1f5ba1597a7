<script setup lang="ts">
import { bikeParts, driveSchema, fastenerSchema, type Bike, type Drive, type Fastener } from '~~/core/bike'
import { checkAgainst } from '~~/core/fault'
import { faultLines } from '~~/core/trip'

/** One fastener in full: what it takes to get hold of it, reach it, swing and pull. */
const props = defineProps<{ bike: Bike; fastener: Fastener; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const { changeFastener, removeFastener } = useBikes()

const draft = ref<Fastener>(structuredClone(toRaw(props.fastener)))
const faults = ref<string[]>([])

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
const plainSize: Partial<Record<Drive['profile'], number | string>> = {
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

function setDrive(of: 'drive' | 'counterhold', profile: string, size?: string) {
  if (profile === '') {
    draft.value.counterhold = null
    return
  }
  const plain = plainSize[profile as Drive['profile']]
  const wanted = size ?? (plain === undefined ? '' : String(plain))
  const asNumber = Number(wanted.replace(',', '.'))
  const written = { profile, size: typeof plain === 'number' ? asNumber : wanted }
  try {
    draft.value[of] = checkAgainst(driveSchema, written)
    faults.value = []
  } catch (error) {
    faults.value = (faultLines(error) ?? [String(error)]).map((line) => `Drive, ${line}`)
  }
}

async function keep(submit: Event) {
  if (!(await wellFilled(submit))) return
  try {
    faults.value = changeFastener(
      props.bike,
      checkAgainst(fastenerSchema, { ...draft.value, name: draft.value.name.trim() }),
    )
    if (faults.value.length === 0) emit('close')
  } catch (error) {
    faults.value = draft.value.name.trim() === '' ? ['Give it a name.'] : (faultLines(error) ?? [String(error)])
  }
}
function remove() {
  removeFastener(props.bike, props.fastener)
  emit('close')
}
</script>

<template>
  <TinDialog open :title="isNew ? 'One more fastener' : fastener.name" @close="$emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="keep">
      <div class="grid grid-cols-[1fr_5rem] gap-3">
        <label class="block text-sm text-soft"
          >Name<input v-model="draft.name" class="slot mt-1 text-ink" maxlength="120" autocomplete="off"
        /></label>
        <label class="block text-sm text-soft"
          >How many<input
            v-model.number="draft.count"
            type="number"
            min="1"
            max="99"
            class="slot figures mt-1 text-right text-ink"
        /></label>
      </div>
      <label class="block text-sm text-soft"
        >On
        <select v-model="draft.part" class="slot mt-1 text-ink">
          <option v-for="part in bikeParts" :key="part" :value="part">{{ part }}</option>
        </select>
      </label>
      <div class="grid grid-cols-[1fr_7rem] gap-3">
        <label class="block text-sm text-soft"
          >Drive
          <select
            class="slot mt-1 text-ink"
            :value="draft.drive.profile"
            @change="setDrive('drive', ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="(word, profile) in profiles" :key="profile" :value="profile">{{ word }}</option>
          </select>
        </label>
        <label v-if="'size' in draft.drive" class="block text-sm text-soft"
          >Size
          <input
            class="slot figures mt-1 text-ink"
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
            class="slot mt-1 text-ink"
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
            class="slot figures mt-1 text-ink"
            :value="sizeOf(draft.counterhold)"
            autocomplete="off"
            @change="
              setDrive('counterhold', draft.counterhold!.profile, ($event.target as HTMLInputElement).value.trim())
            "
          />
        </label>
      </div>
      <label class="block text-sm text-soft"
        >It can wait, because
        <input
          v-model="draft.canWait"
          class="slot mt-1 text-ink"
          maxlength="200"
          placeholder="it cannot"
          autocomplete="off"
        />
      </label>
      <p class="text-xs text-soft">
        Torques are planning values: the maker’s manual decides. Carbon wants a torque key, steering and brakes a
        mechanic.
      </p>
      <FaultLines :lines="faults" />
      <div class="flex gap-2">
        <button v-if="!isNew" type="button" class="knob mr-auto" @click="remove">Remove it</button>
        <button type="button" class="knob" :class="{ 'ml-auto': isNew }" @click="$emit('close')">
          Leave it as it was
        </button>
        <button type="submit" class="knob knob-main">Keep</button>
      </div>
    </form>
  </TinDialog>
</template>
