import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, vi } from 'vitest'
import * as vue from 'vue'
import { aTurn } from '~/composables/aTurn'
import { jsonBlob } from '~/composables/jsonBlob'
import { api } from '~/composables/useApi'
import { useKitStore } from '~/stores/kit'
import { useSelection } from '~/stores/selection'
import { useTripStore } from '~/stores/trip'

/** What Nuxt puts within reach of stores and composables without an import. */
const { computed, ref, shallowRef, watch } = vue
for (const [name, value] of Object.entries({
  computed,
  ref,
  shallowRef,
  watch,
  aTurn,
  api,
  jsonBlob,
  useKitStore,
  useSelection,
  useTripStore,
})) {
  vi.stubGlobal(name, value)
}

beforeEach(() => setActivePinia(createPinia()))
