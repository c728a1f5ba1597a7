import type { Amount, IndexedEvent, IndexedFix, IndexedItem, IndexedLedger } from '../ledger'
import { nth } from '../validation'

/** Whether the things and stocks of two ledgers are the same, as far as failures may ask for them, and go by the same numbers. */
export function haveSameThings(a: IndexedLedger, b: IndexedLedger): boolean {
  return (
    a.legs === b.legs &&
    areSame(a.functions, b.functions) &&
    areSame(a.stocks, b.stocks) &&
    a.items.length === b.items.length &&
    a.items.every((item, i) => isSameThing(item, nth(b.items, i)))
  )
}

function isSameThing(a: IndexedItem, b: IndexedItem): boolean {
  return (
    a.id === b.id && a.condition === b.condition && areSame(a.provides, b.provides) && areSameAmounts(a.units, b.units)
  )
}

const areSameAmounts = (a: readonly Amount[], b: readonly Amount[]) =>
  a.length === b.length && a.every(({ stock, amount }, i) => stock === nth(b, i).stock && amount === nth(b, i).amount)

/** Whether two failures of ledgers with the same things come, cost and are mended alike. */
export function isSameEvent(a: IndexedEvent, b: IndexedEvent): boolean {
  return (
    a.id === b.id &&
    a.techniques === b.techniques &&
    a.orderedAsOn === b.orderedAsOn &&
    areSame(a.perLeg, b.perLeg) &&
    areSame(a.lossH, b.lossH) &&
    areSame(a.walkH, b.walkH) &&
    areSame(a.strands, b.strands) &&
    isSameWear(a.wear, b.wear) &&
    a.fixes.length === b.fixes.length &&
    a.fixes.every((fix, i) => isSameFix(fix, nth(b.fixes, i)))
  )
}

function isSameWear(a: IndexedEvent['wear'], b: IndexedEvent['wear']): boolean {
  if (!a || !b) return a === b
  return (
    a.left === b.left && a.spread === b.spread && areSame(a.lives, b.lives) && areSame(a.freshAtLegs, b.freshAtLegs)
  )
}

const isSameFix = (a: IndexedFix, b: IndexedFix) =>
  a.id === b.id &&
  a.attempt === b.attempt &&
  a.technique === b.technique &&
  a.hands === b.hands &&
  a.holds === b.holds &&
  areSame(a.needs, b.needs) &&
  areSameAmounts(a.uses, b.uses) &&
  areSame(a.workH, b.workH) &&
  areSame(a.residualH, b.residualH) &&
  areSame(a.residualWalkH, b.residualWalkH)

/** Whether two lists hold the same, place by place. */
export function areSame<T>(a: ArrayLike<T>, b: ArrayLike<T>): boolean {
  if (a.length !== b.length) return false
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false
  return true
}
