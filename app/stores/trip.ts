import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { PartName, Trip } from '~~/core/trip'
import { linesOf, statusOf } from '~/composables/useApi'

type Parts = Partial<Omit<Trip, 'format'>>
type Versions = Record<PartName, number>

/** One step that can be taken back. */
interface Edit {
  readonly label: string
  readonly before: Parts
  readonly after: Parts
  readonly merge: string | undefined
}

/** Parts that were saved in another window since they were read here. */
export interface Conflict {
  readonly parts: { part: PartName; version: number; savedAt: string }[]
}

const mostUndo = 200
const retryMs = 5000

/** The trip on the bench, its history of edits, and its way to the server. */
export const useTripStore = defineStore('trip', () => {
  const id = ref('')
  const trip = shallowRef<Trip>()
  const versions = shallowRef<Versions>()
  const done = shallowRef<readonly Edit[]>([])
  const undone = shallowRef<readonly Edit[]>([])
  const dirty = shallowRef<ReadonlySet<PartName>>(new Set())
  const saving = ref<'saved' | 'saving' | 'failed'>('saved')
  const problems = ref<string[]>([])
  const conflict = shallowRef<Conflict>()

  async function load(tripId: string) {
    trip.value = undefined
    const answer = await api<{ trip: Trip; versions: Versions }>(`/api/trips/${tripId}`)
    id.value = tripId
    trip.value = answer.trip
    versions.value = answer.versions
    done.value = []
    undone.value = []
    dirty.value = new Set()
    conflict.value = undefined
    problems.value = []
    saving.value = 'saved'
  }

  /**
   * Changes some parts at once, as one step that can be taken back.
   *
   * @param merge edits with the same mark in a row become one step: a dial being turned
   */
  function edit(label: string, after: Parts, merge?: string) {
    if (!trip.value) return
    const current = trip.value
    const before = pick(current, Object.keys(after) as PartName[])
    const last = done.value.at(-1)
    const step: Edit = merge && last?.merge === merge ? { ...last, after } : { label, before, after, merge }
    done.value = [...(step.before === before ? done.value : done.value.slice(0, -1)), step].slice(-mostUndo)
    undone.value = []
    put(after)
  }

  function undo() {
    const step = done.value.at(-1)
    if (!step) return
    done.value = done.value.slice(0, -1)
    undone.value = [...undone.value, step]
    put(step.before)
  }

  function redo() {
    const step = undone.value.at(-1)
    if (!step) return
    undone.value = undone.value.slice(0, -1)
    done.value = [...done.value, step]
    put(step.after)
  }

  function put(parts: Parts) {
    trip.value = { ...trip.value!, ...parts }
    dirty.value = new Set([...dirty.value, ...(Object.keys(parts) as PartName[])])
    if (!conflict.value) void saveSoon()
  }

  const saveSoon = useDebounceFn(() => save(), 400, { maxWait: 2000 })

  async function save(): Promise<void> {
    if (saving.value === 'saving' || dirty.value.size === 0 || conflict.value) return
    const tripId = id.value
    const parts = [...dirty.value]
    const values = trip.value!
    const changes = parts.map((part) => ({ part, base: versions.value![part], value: values[part] }))
    dirty.value = new Set()
    saving.value = 'saving'
    try {
      const body = await jsonBlob({ changes })
      const answer = await api<{ versions: Versions }>(`/api/trips/${tripId}`, { method: 'PATCH', body })
      if (id.value !== tripId) return
      versions.value = answer.versions
      saving.value = 'saved'
      problems.value = []
    } catch (error) {
      dirty.value = new Set([...dirty.value, ...parts])
      saving.value = 'failed'
      if (statusOf(error) === 409) {
        conflict.value = conflictOf(error)
        return
      }
      problems.value = linesOf(error)
      // A server that was away is asked again; what it refused waits for a change.
      if (statusOf(error) !== 422) setTimeout(() => void save(), retryMs)
      return
    }
    if (dirty.value.size > 0) await save()
  }

  /** Writes this window's parts over the other's. */
  async function keepMine() {
    const theirs = conflict.value!.parts
    versions.value = { ...versions.value!, ...Object.fromEntries(theirs.map(({ part, version }) => [part, version])) }
    conflict.value = undefined
    await save()
  }

  /** Takes the other window's parts; this window's stay within reach of undo. */
  async function takeTheirs() {
    const answer = await api<{ trip: Trip; versions: Versions }>(`/api/trips/${id.value}`)
    const parts = conflict.value!.parts.map(({ part }) => part)
    const before = pick(trip.value!, parts)
    const after = pick(answer.trip, parts)
    trip.value = { ...trip.value!, ...after }
    versions.value = answer.versions
    done.value = [...done.value, { label: 'take the other window’s', before, after, merge: undefined }]
    undone.value = []
    dirty.value = new Set([...dirty.value].filter((part) => !parts.includes(part)))
    conflict.value = undefined
    await save()
  }

  /** Keeps this window's trip beside the other's, as a new one. */
  async function keepBoth(): Promise<string> {
    const copy = { ...trip.value!, name: `${trip.value!.name.slice(0, 105)} (my copy)` }
    const answer = await api<{ id: string }>('/api/trips', { method: 'POST', body: copy })
    return answer.id
  }

  return {
    id,
    trip,
    saving,
    dirty,
    problems,
    conflict,
    undoLabel: computed(() => done.value.at(-1)?.label),
    redoLabel: computed(() => undone.value.at(-1)?.label),
    load,
    edit,
    undo,
    redo,
    save,
    keepMine,
    takeTheirs,
    keepBoth,
  }
})

function pick(trip: Trip, parts: readonly PartName[]): Parts {
  return Object.fromEntries(parts.map((part) => [part, trip[part]]))
}

function conflictOf(error: unknown): Conflict {
  return { parts: (error as { data: { data: Conflict } }).data.data.parts }
}
