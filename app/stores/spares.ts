import { defineStore, storeToRefs } from 'pinia'
import { catalogue } from '#catalogue'
import type { Thing } from '#core/bench'
import { spareFitsOf, spareVerdicts, requirementsOf, type SpareAtRequirement, type SpareVerdict } from '#core/spares'
import { readClass } from '#core/supply'
import { spareReasonInWords } from '#wording'
import equal from 'fast-deep-equal'
import { computed } from 'vue'
import { useTripStore } from './trip'

/** How a thing serves a bike, in a line. */
export interface SpareLine {
  readonly bike: string
  readonly verdict: SpareVerdict
  /** Why; empty where nothing is to be said. */
  readonly words: string
}

/** Which spares on the bench serve which bikes. */
export function useSpares() {
  const store = useSparesStore()
  const { comesInSizes, fitsFor, linesFor, misfitsOf, servedBy, servesNone } = store
  return { ...storeToRefs(store), comesInSizes, fitsFor, linesFor, misfitsOf, servedBy, servesNone }
}

const useSparesStore = defineStore('spares', () => {
  const store = useTripStore()
  const bikes = computed(() => store.trip?.bikes ?? [])
  const wants = computed(() => bikes.value.flatMap((bike) => requirementsOf(bike, catalogue)))

  /** Whether a class comes in sizes at all: patches, tape and lube serve every bike. */
  function comesInSizes(classId: string): boolean {
    const family = readClass(classId, catalogue.families)?.family
    return family !== undefined && (family.variant !== 'none' || family.fitBy !== 'size')
  }

  /** How a thing serves one bike: the best it does at any of its wheels, each reason once. */
  function fitsFor(thing: Pick<Thing, 'units' | 'measures'>, bikeId: string): SpareAtRequirement[] {
    const own = spareFitsOf(thing, wants.value, catalogue).filter(({ want }) => want.bike.id === bikeId)
    const best = spareVerdicts.find((verdict) => own.some((fit) => fit.verdict === verdict))
    const found = own.filter(({ verdict }) => verdict === best)
    return found.filter((fit, i) => found.findIndex(({ reason }) => equal(reason, fit.reason)) === i)
  }

  function linesFor(thing: Pick<Thing, 'units' | 'measures'>): SpareLine[] {
    if (!Object.keys(thing.units).some(comesInSizes)) return []
    return bikes.value.flatMap((bike) =>
      fitsFor(thing, bike.id).map(({ verdict, reason }) => ({
        verdict,
        words: spareReasonInWords(reason),
        bike: bike.name,
      })),
    )
  }

  /** Bikes that want this very size, and that it does not serve for another measure; with the reason. */
  function misfitsOf(thing: Pick<Thing, 'units' | 'measures'>): SpareLine[] {
    const found = spareFitsOf(thing, wants.value, catalogue)
      .filter(({ verdict, want, classId }) => verdict === 'does not fit' && want.classId === classId)
      .map(({ verdict, reason, want }) => ({ verdict, words: spareReasonInWords(reason), bike: want.bike.name }))
    return found.filter((line, i) => found.findIndex(({ bike }) => bike === line.bike) === i)
  }

  /** The bikes a sized spare serves, where that is not all of them. */
  function servedBy(thing: Pick<Thing, 'units' | 'measures'>): string[] {
    const serving = linesFor(thing).filter(({ verdict }) => verdict !== 'does not fit')
    const names = [...new Set(serving.map(({ bike }) => bike))]
    return names.length < bikes.value.length ? names : []
  }

  /** Whether it comes in sizes and serves no bike of the crew. */
  function servesNone(thing: Pick<Thing, 'units' | 'measures'>): boolean {
    const lines = linesFor(thing)
    const sized = Object.keys(thing.units).some(comesInSizes)
    return sized && bikes.value.length > 0 && lines.every(({ verdict }) => verdict === 'does not fit')
  }
  return { wants, comesInSizes, fitsFor, linesFor, misfitsOf, servedBy, servesNone }
})
