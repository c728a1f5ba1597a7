<script setup lang="ts">
import { useWide } from '../../composables/useWide'
import { useSelection } from '../../stores/selection'
import BaseDialog from '../common/BaseDialog.vue'
import BalancePanel from './BalancePanel.vue'
import LeftToLuck from './LeftToLuck.vue'
import ThingPanel from './ThingPanel.vue'

/** The balance, and why a thing comes along: beside a wide page, over a narrow one. */
const showsBalance = defineModel<boolean>('showsBalance', { required: true })
const selection = useSelection()
const wide = useWide()
</script>

<template>
  <aside
    v-if="wide"
    aria-label="Balance and why"
    class="window min-h-0 shrink-0 overflow-y-auto border-line bg-ground w-[21.5rem] border-l print:w-full print:border-l-0"
    tabindex="0"
  >
    <BalancePanel />
    <ThingPanel v-if="selection.thingId" closable />
    <LeftToLuck v-else />
  </aside>
  <template v-else>
    <BaseDialog :open="showsBalance" title="The balance" flush @close="showsBalance = false"
      ><BalancePanel untitled
    /></BaseDialog>
    <BaseDialog :open="selection.thingId !== ''" title="Claims" flush @close="selection.thingId = ''"
      ><ThingPanel
    /></BaseDialog>
  </template>
</template>
