<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { catalogue } from '#catalogue'
import { commonLevel, handFamilySchema, levelNow, skillWords, type Rider, type Skill } from '#core/crew'
import { hoursInWords } from '#wording'
import { ChevronDown } from '@lucide/vue'
import { computed } from 'vue'
import { useRiders } from '../../composables/useRiders'
import { usePractice } from '../../stores/practice'
import HandCell from './HandCell.vue'

/** Who has done what how often: work down, riders across, and what an evening more would be worth here. */
const { crew, setHands, setSkills, copyHands } = useRiders()
const practice = usePractice()

const families = handFamilySchema.options.map((name) => ({
  name,
  techniques: catalogue.techniques.filter(({ family }) => family === name),
}))
const levels = skillWords.map((words, level) => ({ words, level: level as Skill }))
const idsOf = (techniques: readonly { readonly id: string }[]) => techniques.map(({ id }) => id)
const allIds = idsOf(catalogue.techniques)
const allAt = (ids: readonly string[], level: Skill) => Object.fromEntries(ids.map((id) => [id, level]))
const plannedOf = (rider: Rider, techniqueId: string) =>
  rider.practice.find(({ technique }) => technique === techniqueId)
const nameOf = (riderId: string) => crew.value.find(({ id }) => id === riderId)?.name ?? ''
const isOne = computed(() => crew.value.length === 1)

function fill(rider: Rider, level: Skill) {
  setHands({ ...rider, skills: {} }, level)
}
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Hands, by work and rider">
    <table class="named-above w-full border-separate border-spacing-0 text-sm" :style="{ '--columns': crew.length }">
      <thead>
        <tr>
          <th
            class="corner sticky left-0 z-10 min-w-40 bg-paper pb-2 text-left align-bottom text-xs font-normal text-soft"
          >
            work
          </th>
          <th
            v-for="(rider, i) in crew"
            :key="rider.id"
            class="min-w-32 px-1 pb-2 text-left align-bottom font-semibold"
          >
            <Menu as="div" class="relative">
              <MenuButton
                class="flex w-full items-end justify-between gap-1 text-left break-words hover:underline pointer-coarse:min-h-11"
                :aria-label="`Fill in ${rider.name}`"
                ><span class="min-w-0 break-words">{{ rider.name }}</span
                ><ChevronDown :size="14" aria-hidden="true" class="mb-0.5 shrink-0 print:hidden"
              /></MenuButton>
              <MenuItems
                class="card absolute z-30 mt-1 w-52 p-1 font-normal shadow-lg"
                :class="i > 0 ? 'right-0 md:right-auto md:left-0' : 'left-0'"
              >
                <MenuItem v-for="{ words, level } in levels" :key="level" v-slot="{ active }" as="template">
                  <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="fill(rider, level)">
                    all of these {{ words }}
                  </button>
                </MenuItem>
                <MenuItem
                  v-for="other in crew.filter(({ id }) => id !== rider.id)"
                  :key="other.id"
                  v-slot="{ active }"
                  as="template"
                >
                  <button
                    type="button"
                    class="menu-line"
                    :class="{ 'bg-well': active }"
                    @click="copyHands(rider, other)"
                  >
                    as {{ other.name }}
                  </button>
                </MenuItem>
              </MenuItems>
            </Menu>
          </th>
          <th class="corner min-w-28 pb-2 pl-3 text-left align-bottom text-xs font-normal text-soft">
            an evening’s practice spares
          </th>
        </tr>
      </thead>
      <tbody v-for="family in families" :key="family.name">
        <tr>
          <th scope="rowgroup" class="sticky left-0 z-10 bg-paper pt-3 pr-2 pb-0.5 text-left font-semibold">
            {{ family.name }}
          </th>
          <td v-for="rider in crew" :key="rider.id" class="px-1 pt-3 pb-0.5">
            <HandCell
              is-family
              :label="`all of ${family.name}, ${rider.name}`"
              :level="commonLevel(rider, idsOf(family.techniques))"
              @set="setSkills(rider, allAt(idsOf(family.techniques), $event))"
            />
          </td>
          <td class="corner" />
        </tr>
        <tr v-for="technique in family.techniques" :key="technique.id">
          <th scope="row" class="sticky left-0 z-10 bg-paper py-0.5 pr-2 pl-3 text-left font-normal">
            {{ technique.name }}
          </th>
          <td v-for="rider in crew" :key="rider.id" class="px-1 py-0.5 align-top">
            <HandCell
              :label="`${technique.name}, ${rider.name}`"
              :level="levelNow(rider, technique.id)"
              @set="setSkills(rider, { [technique.id]: $event })"
            />
            <span v-if="plannedOf(rider, technique.id)" class="block px-1 text-xs text-petrol"
              >to be practised: {{ skillWords[plannedOf(rider, technique.id)?.level ?? 2] }}</span
            >
          </td>
          <td class="at-end py-0.5 pl-3 align-middle">
            <template v-if="practice.bestOf(technique.id)"
              ><span class="figures">{{ hoursInWords(practice.bestOf(technique.id)?.savedH ?? 0) }}</span
              ><span v-if="!isOne" class="text-soft">, {{ nameOf(practice.bestOf(technique.id)?.riderId ?? '') }}</span>
            </template>
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" class="sticky left-0 z-10 bg-paper pt-4 pr-2 text-left font-semibold">all work</th>
          <td v-for="rider in crew" :key="rider.id" class="px-1 pt-4">
            <HandCell
              is-family
              :label="`all work, ${rider.name}`"
              :level="commonLevel(rider, allIds)"
              @set="fill(rider, $event)"
            />
          </td>
          <td class="corner" />
        </tr>
      </tfoot>
    </table>
  </div>
</template>
