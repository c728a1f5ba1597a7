import { checkAgainst, Fault, Faults, nth } from '../validation'
import { faultsOfLimits, loadOf } from './limits'
import { ledgerSchema, type Ledger, type LedgerEvent } from './schema'

/**
 * Reads a ledger document and checks that its ids and legs point somewhere.
 *
 * @throws Faults saying where, what and what was expected
 */
export function readLedger(input: unknown): Ledger {
  const ledger = checkAgainst(ledgerSchema, input)
  const faults = [
    ...repeated(ledger.items, 'items'),
    ...repeated(ledger.stocks, 'stocks'),
    ...repeated(ledger.events, 'events'),
    ...faultsOfStocks(ledger),
    ...ledger.events.flatMap((event, e) => faultsOfEvent(event, `events[${e}]`, ledger)),
    ...faultsOfPins(ledger),
  ]
  if (faults.length > 0) throw new Faults(faults)
  return ledger
}

function repeated(entries: readonly { readonly id: string }[], where: string): Fault[] {
  const seen = new Set<string>()
  return entries.flatMap(({ id }, i) => {
    const isSecond = seen.has(id)
    seen.add(id)
    return isSecond ? [new Fault(`${where}[${i}].id`, `"${id}" a second time`, 'an id used once')] : []
  })
}

function unknownStocks(amounts: Readonly<Record<string, number>>, where: string, { stocks }: Ledger): Fault[] {
  return Object.keys(amounts)
    .filter((id) => !stocks.some((stock) => stock.id === id))
    .map((id) => new Fault(where, `"${id}"`, 'the id of one of the stocks'))
}

function beyond(leg: number, where: string, { legs }: Ledger): Fault[] {
  return leg < legs ? [] : [new Fault(where, `leg ${leg}`, `a leg from 0 to ${legs - 1}`)]
}

function faultsOfStocks(ledger: Ledger): Fault[] {
  return [
    ...ledger.items.flatMap(({ units }, i) => unknownStocks(units, `items[${i}].units`, ledger)),
    ...ledger.stocks.flatMap(({ refills }, s) =>
      refills.flatMap(({ leg }, r) => beyond(leg, `stocks[${s}].refills[${r}].leg`, ledger)),
    ),
  ]
}

function faultsOfEvent(event: LedgerEvent, where: string, ledger: Ledger): Fault[] {
  const perLeg = (value: number | readonly number[], name: string) =>
    typeof value === 'number' || value.length === ledger.legs
      ? []
      : [new Fault(`${where}.${name}`, `${value.length} numbers`, `one for each of the ${ledger.legs} legs`)]
  const noMore = (part: number | readonly number[], whole: number | readonly number[], names: [string, string]) =>
    Array.from({ length: ledger.legs }, (_, leg) => leg)
      .filter((leg) => onLeg(part, leg) > onLeg(whole, leg))
      .slice(0, 1)
      .map((leg) => new Fault(`${where}.${names[0]}`, `${onLeg(part, leg)} on leg ${leg}`, `at most its ${names[1]}`))
  const sizes = [
    ...perLeg(event.perLeg, 'perLeg'),
    ...perLeg(event.lossH, 'lossH'),
    ...perLeg(event.walkH, 'walkH'),
    ...perLeg(event.strands, 'strands'),
    ...(event.wear ? perLeg(event.wear.lives, 'wear.lives') : []),
    ...event.fixes.flatMap(({ workH, residualH, residualWalkH }, f) => [
      ...perLeg(workH, `fixes[${f}].workH`),
      ...perLeg(residualH, `fixes[${f}].residualH`),
      ...perLeg(residualWalkH, `fixes[${f}].residualWalkH`),
    ]),
  ]
  return [
    ...sizes,
    ...(sizes.length > 0 ? [] : noMore(event.walkH, event.lossH, ['walkH', 'lossH'])),
    ...(event.wear?.freshAtLegs ?? []).flatMap((leg, i) => beyond(leg, `${where}.wear.freshAtLegs[${i}]`, ledger)),
    ...repeated(event.fixes, `${where}.fixes`),
    ...faultsOfAttempts(event, where),
    ...event.fixes.flatMap((fix, f) => [
      ...unknownStocks(fix.uses, `${where}.fixes[${f}].uses`, ledger),
      ...(sizes.length > 0 ? [] : noMore(fix.residualWalkH, fix.residualH, [`fixes[${f}].residualWalkH`, 'residualH'])),
    ]),
  ]
}

/** Ways of one attempt differ in what does it, not in what is used up. */
function faultsOfAttempts({ fixes }: LedgerEvent, where: string): Fault[] {
  return fixes.flatMap(({ attempt, uses }, f) => {
    const first = attempt === undefined ? undefined : fixes.find((fix) => fix.attempt === attempt)
    if (!first || hasSame(first.uses, uses)) return []
    return [new Fault(`${where}.fixes[${f}].uses`, JSON.stringify(uses), `the same as in "${first.id}", another way`)]
  })
}

const hasSame = (a: Readonly<Record<string, number>>, b: Readonly<Record<string, number>>) =>
  Object.keys(a).length === Object.keys(b).length && Object.entries(a).every(([id, amount]) => b[id] === amount)

function faultsOfPins({ items, pins, budgetG, budgetMoney, currency }: Ledger): Fault[] {
  const faults = Object.entries(pins).flatMap(([id, { min }]) => {
    const item = items.find((candidate) => candidate.id === id)
    if (!item) return [new Fault(`pins.${id}`, `"${id}"`, 'the id of one of the items')]
    return min > item.max ? [new Fault(`pins.${id}.min`, `${min}`, `at most the ${item.max} there are`)] : []
  })
  const counts = items.map(({ id }) => pins[id]?.min ?? 0)
  const pinned = items.filter((_, i) => nth(counts, i) > 0).map(({ id }) => id)
  const limits = { budgetG: budgetG ?? Infinity, budgetMoney: budgetMoney ?? Infinity, currency }
  return [...faults, ...faultsOfLimits(loadOf({ items }, counts), limits, pinned)]
}

/** A value on a leg: the same on all, or one for each. */
export const onLeg = (value: number | readonly number[], leg: number) =>
  typeof value === 'number' ? value : (value[leg] ?? 0)
