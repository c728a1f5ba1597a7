import { z } from 'zod'
import type { Packing } from '../bench'
import { skillWords, type Sharing } from '../crew'
import type { Hazard } from '../hazard'
import { knownPrice, mostMoney, planningCurrency, type KnownPrice } from '../money'
import { leastHalfLifeY, mostHalfLifeY } from '../supply'
import type { Reference } from './schema'

/** What a planning value may be, by what it is a value of. */
const ranges = {
  per1000km: { least: 0, most: 1000 },
  stops: { least: 0, most: 1 },
  limpShare: { least: 0, most: 5 },
  lifeKm: { least: 1, most: 1_000_000 },
  holds: { least: 0.01, most: 1 },
  lastsKm: { least: 1, most: 1_000_000 },
  minutes: { least: 0.5, most: 1000 },
  hands: { least: 0, most: 1 },
  works: { least: 0.01, most: 1 },
  awkward: { least: 0, most: 4 },
  fetch: { least: 0, most: 60 },
  uneven: { least: 0, most: 0.95 },
  dig: { least: 0, most: 120 },
  unwrap: { least: 0, most: 15 },
  hurry: { least: 1, most: 100 },
  high: { least: 0, most: 1 },
  tapeG: { least: 0, most: 100 },
  bagG: { least: 0, most: 100 },
  price: { least: 0, most: mostMoney },
  days: { least: 0, most: 60 },
  keptDays: { least: 1, most: 120 },
  unchecked: { least: 1, most: 20 },
  untried: { least: 0.01, most: 1 },
  sealedY: { least: leastHalfLifeY, most: mostHalfLifeY },
  openedY: { least: leastHalfLifeY, most: mostHalfLifeY },
} as const
export type PlanningKind = keyof typeof ranges

const difficulties = ['easy', 'medium', 'hard'] as const
const tools = ['pump', 'compressor', 'folding', 'lever', 'simple'] as const
const shape =
  /^(?:hazards\.[a-z0-9-]{1,40}\.(per1000km|stops|limpShare|lifeKm)|fixes\.[a-z0-9-]{1,40}\.(holds|minutes|lastsKm)|(?:jobs\.[a-z0-9-]{1,40}|errands\.(?:practice|parcel|ask))\.(minutes|price)|errands\.(?:order|shop|papers)\.(minutes)|errands\.(?:parcel|order)\.(days)|errands\.parcel\.(keptDays)|checks\.[a-z0-9-]{1,40}\.(minutes|unchecked)|trials\.[a-z0-9-]{1,40}\.(minutes|untried)|families\.[a-z0-9-]{1,40}\.(sealedY|openedY)|items\.[a-z0-9-]{1,40}\.(price)|(hands)\.(?:easy|medium|hard)\.[0-3]|(works)\.(?:pump|compressor|folding|lever|simple)|turning\.(awkward)|sharing\.(fetch|uneven)|packing\.(dig|unwrap|hurry|high|tapeG|bagG))$/

function kindOf(key: string): PlanningKind | undefined {
  const found = shape.exec(key)?.slice(1).find(Boolean)
  return found === undefined ? undefined : (found as PlanningKind)
}

/**
 * Planning values that somebody knows better, by where they stand in the reference: "hazards.puncture.per1000km",
 * "fixes.plug-hole.holds", "hands.easy.2", "works.pump". One of a hazard that the reference no longer has counts for nothing.
 */
export const planningSchema = z.record(z.string().max(80), z.number()).superRefine((values, context) => {
  for (const [key, value] of Object.entries(values)) {
    const kind = kindOf(key)
    if (!kind) {
      context.addIssue({
        code: 'custom',
        path: [key],
        input: key,
        message: 'a planning value of the reference, as in "hands.easy.2"',
      })
    } else if (value < ranges[kind].least || value > ranges[kind].most) {
      const { least, most } = ranges[kind]
      context.addIssue({ code: 'custom', path: [key], input: value, message: `a number from ${least} to ${most}` })
    }
  }
})
export type Planning = z.infer<typeof planningSchema>

/** Planning values to be set, and keys of those to be set back. */
export const planningChangeSchema = z.object({
  planning: planningSchema.default({}),
  back: z
    .array(z.string().max(80).refine(kindOf, 'a planning value of the reference, as in "hands.easy.2"'))
    .max(500)
    .default([]),
})
export type PlanningChange = z.infer<typeof planningChangeSchema>

/** Planning values after a change. */
export function changedPlanning(before: Planning, { planning, back }: PlanningChange): Planning {
  const kept = Object.entries(before).filter(([key]) => !back.includes(key))
  return { ...Object.fromEntries(kept), ...planning }
}

/** A value as it may be set: within the range of its kind. @throws RangeError for a key of no planning value */
export function planningValueWithin(key: string, value: number): number {
  const kind = kindOf(key)
  if (!kind) throw new RangeError(`"${key}" is no planning value`)
  return Math.min(ranges[kind].most, Math.max(ranges[kind].least, value))
}

/** A planning value that can be changed. */
export interface PlanningValue {
  readonly key: string
  readonly kind: PlanningKind
  readonly value: number
  readonly least: number
  readonly most: number
}

const valueOf = (key: string, kind: PlanningKind, value: number): PlanningValue => ({
  key,
  kind,
  value,
  ...ranges[kind],
})

/** The planning values of a hazard as a reference has them. */
export function hazardValues(hazard: Hazard): PlanningValue[] {
  const { id, stops, limpShare } = hazard
  return [
    hazard.kind === 'sudden'
      ? valueOf(`hazards.${id}.per1000km`, 'per1000km', hazard.per1000km)
      : valueOf(`hazards.${id}.lifeKm`, 'lifeKm', hazard.lifeKm),
    valueOf(`hazards.${id}.stops`, 'stops', stops),
    // By the spokes that are left: no one number to change.
    ...(limpShare === 'by spokes' ? [] : [valueOf(`hazards.${id}.limpShare`, 'limpShare', limpShare)]),
  ]
}

/** Those of a fix. */
export const fixValues = ({ id, holds, minutes, lastsKm }: Reference['fixes'][number]): PlanningValue[] => [
  valueOf(`fixes.${id}.holds`, 'holds', holds),
  ...(lastsKm === undefined ? [] : [valueOf(`fixes.${id}.lastsKm`, 'lastsKm', lastsKm)]),
  valueOf(`fixes.${id}.minutes`, 'minutes', minutes),
]

/** Those of a job at home. */
export const jobValues = ({ id, minutes, price }: Reference['jobs'][number]): PlanningValue[] => [
  valueOf(`jobs.${id}.minutes`, 'minutes', minutes),
  valueOf(`jobs.${id}.price`, 'price', price),
]

/** Those of a check of a bike, and of the trial of a thing. */
export const checkValues = ({ id, minutes, unchecked }: Reference['checks'][number]): PlanningValue[] => [
  valueOf(`checks.${id}.minutes`, 'minutes', minutes),
  valueOf(`checks.${id}.unchecked`, 'unchecked', unchecked),
]
export const trialValues = ({ id, minutes, untried }: Reference['trials'][number]): PlanningValue[] => [
  valueOf(`trials.${id}.minutes`, 'minutes', minutes),
  valueOf(`trials.${id}.untried`, 'untried', untried),
]

/** How long it takes until what is sent or ordered is there, and how long a parcel is kept. */
export const sendingValues = ({
  errands,
}: Pick<Reference, 'errands'>): Record<'parcel' | 'kept' | 'order', PlanningValue> => ({
  parcel: valueOf('errands.parcel.days', 'days', errands.parcel.days),
  kept: valueOf('errands.parcel.keptDays', 'keptDays', errands.parcel.keptDays),
  order: valueOf('errands.order.days', 'days', errands.order.days),
})

/** Those of what else is done before a ride. */
export const errandValues = (
  { errands }: Pick<Reference, 'errands'>,
  id: 'practice' | 'parcel' | 'ask',
): PlanningValue[] => [
  valueOf(`errands.${id}.minutes`, 'minutes', errands[id].minutes),
  valueOf(`errands.${id}.price`, 'price', errands[id].price),
]

/** How long pieces of a family keep, in the packet and once opened; none where age does nothing to them. */
export const familyValues = ({ id, halfLife }: Reference['families'][number]): PlanningValue[] =>
  halfLife
    ? [
        valueOf(`families.${id}.sealedY`, 'sealedY', halfLife.sealedY),
        valueOf(`families.${id}.openedY`, 'openedY', halfLife.openedY),
      ]
    : []

/**
 * A price where a trip knows it: planning values are given in one currency; in another those only that somebody has said.
 *
 * @param key what it is the price of, such as "items.boot"
 */
export const priceKnown = (
  key: string,
  price: number,
  { currency, planning }: { readonly currency: string; readonly planning: Planning },
): number | undefined =>
  price === 0 || currency === planningCurrency || `${key}.price` in planning ? price : undefined

/** The same of things of the catalogue together, one of each. */
export const itemsPrice = (
  items: readonly Pick<Reference['items'][number], 'id' | 'price'>[],
  dials: { readonly currency: string; readonly planning: Planning },
): KnownPrice => knownPrice(items.map(({ id, price }) => ({ count: 1, each: priceKnown(`items.${id}`, price, dials) })))

/** What a thing of the catalogue costs. */
export const itemPrice = ({ id, price }: Reference['items'][number]): PlanningValue =>
  valueOf(`items.${id}.price`, 'price', price)

/** How surely hands can do what is easy, medium and hard, by how often they have done it. */
export const handValues = ({ hands }: Pick<Reference, 'hands'>) =>
  difficulties.map((difficulty) => ({
    difficulty,
    values: skillWords.map((_, level) =>
      valueOf(`hands.${difficulty}.${level}`, 'hands', hands[difficulty][level] ?? 0),
    ),
  }))

/** How surely tools work on a trip. */
export const toolValues = ({ works }: Pick<Reference, 'works'>) =>
  tools.map((tool) => ({ tool, value: valueOf(`works.${tool}`, 'works', works[tool]) }))

/** How much longer turning takes that is not easy. */
export const awkwardValue = ({ turning }: Pick<Reference, 'turning'>): PlanningValue =>
  valueOf('turning.awkward', 'awkward', turning.awkward)

/** What it costs that a kit is shared out among riders. */
export const sharingValues = ({ sharing }: Pick<Reference, 'sharing'>): Record<keyof Sharing, PlanningValue> => ({
  fetch: valueOf('sharing.fetch', 'fetch', sharing.fetch),
  uneven: valueOf('sharing.uneven', 'uneven', sharing.uneven),
})

const packings = ['dig', 'unwrap', 'hurry', 'high', 'tapeG', 'bagG'] as const satisfies (keyof Packing)[]

/** What it costs to keep things in bags. */
export const packingValues = ({ packing }: Pick<Reference, 'packing'>): PlanningValue[] =>
  packings.map((name) => valueOf(`packing.${name}`, name, packing[name]))

/** A reference with the planning values that somebody knows better. */
export function withPlanning(reference: Reference, planning: Planning): Reference {
  if (Object.keys(planning).length === 0) return reference
  const at = (key: string, usual: number) => planning[key] ?? usual
  const { hands, works, errands } = reference
  const row = (difficulty: (typeof difficulties)[number]) => {
    const [never, watched, home, road] = hands[difficulty]
    const said = (level: number, usual: number) => at(`hands.${difficulty}.${level}`, usual)
    return [said(0, never), said(1, watched), said(2, home), said(3, road)] as const
  }
  const speaksOf = (start: string) => Object.keys(planning).some((key) => key.startsWith(start))
  const familyWith = (family: Reference['families'][number]) => ({
    ...family,
    halfLife: family.halfLife && {
      sealedY: at(`families.${family.id}.sealedY`, family.halfLife.sealedY),
      openedY: at(`families.${family.id}.openedY`, family.halfLife.openedY),
    },
  })
  const errand = (id: 'practice' | 'parcel' | 'ask') => ({
    minutes: at(`errands.${id}.minutes`, reference.errands[id].minutes),
    price: at(`errands.${id}.price`, reference.errands[id].price),
  })
  return {
    ...reference,
    hands: { easy: row('easy'), medium: row('medium'), hard: row('hard') },
    works: {
      pump: at('works.pump', works.pump),
      compressor: at('works.compressor', works.compressor),
      folding: at('works.folding', works.folding),
      lever: at('works.lever', works.lever),
      simple: at('works.simple', works.simple),
    },
    turning: { awkward: at('turning.awkward', reference.turning.awkward) },
    sharing: {
      fetch: at('sharing.fetch', reference.sharing.fetch),
      uneven: at('sharing.uneven', reference.sharing.uneven),
    },
    packing: {
      dig: at('packing.dig', reference.packing.dig),
      unwrap: at('packing.unwrap', reference.packing.unwrap),
      hurry: at('packing.hurry', reference.packing.hurry),
      high: at('packing.high', reference.packing.high),
      tapeG: at('packing.tapeG', reference.packing.tapeG),
      bagG: at('packing.bagG', reference.packing.bagG),
    },
    jobs: reference.jobs.map((job) => ({
      ...job,
      minutes: at(`jobs.${job.id}.minutes`, job.minutes),
      price: at(`jobs.${job.id}.price`, job.price),
    })),
    checks: reference.checks.map((check) => ({
      ...check,
      minutes: at(`checks.${check.id}.minutes`, check.minutes),
      unchecked: at(`checks.${check.id}.unchecked`, check.unchecked),
    })),
    trials: reference.trials.map((trial) => ({
      ...trial,
      minutes: at(`trials.${trial.id}.minutes`, trial.minutes),
      untried: at(`trials.${trial.id}.untried`, trial.untried),
    })),
    // Lists that nobody has changed stay the same ones: what was read by them once is known.
    families: speaksOf('families.') ? reference.families.map(familyWith) : reference.families,
    items: speaksOf('items.')
      ? reference.items.map((item) => ({ ...item, price: at(`items.${item.id}.price`, item.price) }))
      : reference.items,
    errands: {
      practice: errand('practice'),
      parcel: {
        ...errand('parcel'),
        days: at('errands.parcel.days', errands.parcel.days),
        keptDays: at('errands.parcel.keptDays', errands.parcel.keptDays),
      },
      ask: errand('ask'),
      order: {
        minutes: at('errands.order.minutes', errands.order.minutes),
        days: at('errands.order.days', errands.order.days),
      },
      shop: { minutes: at('errands.shop.minutes', errands.shop.minutes) },
      papers: { minutes: at('errands.papers.minutes', errands.papers.minutes) },
    },
    hazards: reference.hazards.map((hazard) => {
      const { id, stops, limpShare } = hazard
      const common = {
        stops: at(`hazards.${id}.stops`, stops),
        limpShare: limpShare === 'by spokes' ? limpShare : at(`hazards.${id}.limpShare`, limpShare),
      }
      return hazard.kind === 'sudden'
        ? { ...hazard, ...common, per1000km: at(`hazards.${id}.per1000km`, hazard.per1000km) }
        : { ...hazard, ...common, lifeKm: at(`hazards.${id}.lifeKm`, hazard.lifeKm) }
    }),
    fixes: reference.fixes.map((fix) => ({
      ...fix,
      holds: at(`fixes.${fix.id}.holds`, fix.holds),
      minutes: at(`fixes.${fix.id}.minutes`, fix.minutes),
      ...(fix.lastsKm !== undefined && { lastsKm: at(`fixes.${fix.id}.lastsKm`, fix.lastsKm) }),
    })),
  }
}
