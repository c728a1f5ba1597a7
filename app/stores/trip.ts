import { broughtByLayer, refusedChanges, soleAccess, type Access, type RefusedChange } from '#core/access'
import { partNames, type PartName, type Trip } from '#core/trip'
import { cutTo, defined } from '#core/validation'
import equal from 'fast-deep-equal'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { nextTask } from '../timing/next-task'
import { usePerson } from './person'
import { useTripSessions } from './trip-sessions'
import { useTrips } from './trips'
import { applied, type Change } from '../session/changes'
import type { Choices } from '../session/conflicts'
import type { Parts } from '../session/outbox'
import { withoutProxies } from '../session/plain-data'
import { Supposition } from '../session/supposition'
import type { Opened, TripSession } from '../session/trip-session'
import type { SavingState } from '../session/windows'

/** The trip on the bench: what its session holds, for the page to look at. */
export const useTripStore = defineStore('trip', () => {
  const id = ref('')
  const trip = shallowRef<Trip>()
  /** The trip where one is open; pages and rooms of a trip are shown only then. */
  const openTrip = computed(() => defined(trip.value, 'an open trip'))
  const state = shallowRef<SavingState>({ kind: 'clean' })
  const notice = ref('')
  /** Steps that the server does not have. */
  const unsaved = ref(0)
  const takenIn = shallowRef<readonly PartName[]>([])
  const undoLabel = ref<string>()
  const redoLabel = ref<string>()
  /** Whether the trip is shown as it would be, and nothing of that is saved. */
  const isSupposing = ref(false)
  /** Whether anything is supposed to be otherwise. */
  const isOtherwise = ref(false)
  /** How whoever looks at the trip stands to it. */
  const access = shallowRef<Access>(soleAccess)
  /** Of what is supposed, why it cannot be kept; nothing where it can. */
  const notTheirs = shallowRef<readonly RefusedChange[]>([])
  let session: TripSession | undefined
  let supposition: Supposition | undefined
  let stopMirroring: () => void = () => undefined
  let asked = ''

  function mirror(from: TripSession) {
    if (from.document) supposition?.becameOtherwise(from.document)
    trip.value = supposition?.document ?? from.document
    access.value = from.access ?? soleAccess
    notTheirs.value = refused(supposition?.document)
    isSupposing.value = supposition !== undefined
    isOtherwise.value = supposition !== undefined && supposition.changes.length > 0
    state.value = from.state
    notice.value = from.notice
    unsaved.value = from.unsaved
    takenIn.value = from.takenIn
    const { undoLabel: undoes, redoLabel: redoes } = supposition ?? from
    undoLabel.value = undoes
    redoLabel.value = redoes
  }

  /** What whoever looks at the trip may not change of it to these parts. */
  function refused(parts: Parts | undefined): RefusedChange[] {
    const document = session?.document
    if (!document || !parts || access.value.role === 'owner') return []
    const changed = partNames.filter((part) => part in parts && !equal(parts[part], document[part]))
    return refusedChanges(access.value, document, { ...document, ...parts }, changed)
  }

  /** From now on edits are supposed and not made, until they are kept or let go. */
  function suppose() {
    if (!session?.document || supposition) return
    supposition = new Supposition(session.document, () => performance.now())
    mirror(session)
  }

  /** Does something to what is supposed. @returns whether anything is */
  function supposed(what: (supposition: Supposition) => void): boolean {
    if (!session || !supposition) return false
    what(supposition)
    mirror(session)
    return true
  }

  /** The plan as it is saved, whatever is supposed of it. */
  const asItIs = () => session?.document
  /** What is supposed of it, as changes. */
  const supposedChanges = () => supposition?.changes ?? []
  /** Changes are supposed of the plan as it is, from where they stand. */
  function supposeChanges(label: string, changes: readonly Change[]) {
    const document = session?.document
    if (!document) return
    suppose()
    supposed((supposition) => supposition.edit(label, applied(document, changes)))
  }

  function letGo() {
    supposition = undefined
    if (session) mirror(session)
  }

  /** What is supposed becomes the plan, as one step. */
  function keep() {
    const kept = supposition?.document
    if (!session || !kept || refused(kept).length > 0) return
    supposition = undefined
    session.edit('keep what was supposed', kept)
    mirror(session)
  }

  /** Opens a trip; the one that was open stays until then. Of two that are asked for, the later is opened. */
  async function open(tripId: string): Promise<Opened> {
    asked = tripId
    const sessions = await useTripSessions()
    const { session: next, opened } = await sessions.open(tripId)
    // To read it may have been long: the page is drawn in a task of its own.
    await nextTask()
    if (asked !== tripId || opened.kind !== 'opened') {
      void sessions.close(tripId)
      return opened
    }
    const left = id.value
    stopMirroring()
    supposition = undefined
    session = next
    id.value = tripId
    mirror(next)
    stopMirroring = next.subscribe(() => mirror(next))
    if (left) void sessions.close(left)
    return opened
  }

  /** The page of a trip is left; what waits of it is still brought to the server. */
  async function leave(tripId: string): Promise<void> {
    if (asked === tripId) asked = ''
    if (id.value !== tripId) return
    stopMirroring()
    session = undefined
    supposition = undefined
    access.value = soleAccess
    isSupposing.value = false
    isOtherwise.value = false
    id.value = ''
    trip.value = undefined
    await (await useTripSessions()).close(tripId)
  }

  /**
   * Changes some parts at once, as one step that can be taken back. What is not theirs to change they suppose from then on.
   *
   * @param merge edits with the same mark in a row become one step: a dial being turned
   */
  function edit(label: string, parts: Parts, merge?: string) {
    const given = withoutProxies(parts, trip.value)
    const bench = given.bench && broughtByLayer(access.value, trip.value?.bench ?? [], given.bench)
    const plain = bench ? { ...given, bench } : given
    if (!supposition && refused(plain).length > 0) suppose()
    if (!supposed((supposition) => supposition.edit(label, plain, merge))) session?.edit(label, plain, merge)
  }
  function undo() {
    if (!supposed((supposition) => supposition.undo())) session?.undo()
  }
  function redo() {
    if (!supposed((supposition) => supposition.redo())) session?.redo()
  }

  /** An edit for work that takes a while: it goes to the trip that is open now, or nowhere. */
  function editLater(): typeof edit {
    const opened = session
    return (label, parts, merge) => {
      if (session === opened) edit(label, parts, merge)
    }
  }

  /** Has everything brought to the server, for what it shall look at. */
  async function flush(): Promise<void> {
    if (usePerson().isGuest.value) {
      throw new Error(
        'The server is asked about this, and this trip lies on your device alone. Sign up; it comes along.',
      )
    }
    const after = await session?.flush()
    if (after && after.kind !== 'clean') throw new Error('The trip is not saved yet; see the line at the top.')
  }

  /** This device's trip as a new one, apart from the other. */
  async function keepAsCopy(): Promise<string> {
    const copy = trip.value && { ...trip.value, name: `${cutTo(trip.value.name, 105)} (my copy)` }
    return useTrips().create({ ...copy })
  }

  return {
    id,
    trip,
    openTrip,
    state,
    notice,
    unsaved,
    takenIn,
    undoLabel,
    redoLabel,
    access,
    notTheirs,
    open,
    leave,
    edit,
    editLater,
    isSupposing,
    isOtherwise,
    suppose,
    asItIs,
    supposedChanges,
    supposeChanges,
    keep,
    letGo,
    undo,
    redo,
    backToSaved: () => session?.backToSaved(),
    flush,
    dismiss: () => session?.dismiss(),
    tryAgain: () => session?.tryAgain(),
    catchUp: () => session?.catchUp(),
    resolve: (choices: Choices) => session?.resolve(choices),
    keepAsCopy,
  }
})
