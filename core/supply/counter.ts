import { z } from 'zod'
import { idSchema, nameSchema, text } from '../validation'
import type { Service } from './service'

/** What one asks over a shop's counter. */
export const counterQuestionSchema = z.object({
  /** The kind of service. */
  kind: text(40).min(1),
  place: nameSchema,
  /** The part, with its size. */
  classId: idSchema,
})
export type CounterQuestion = z.infer<typeof counterQuestionSchema>

/** What comes back over the counter. */
export const counterAnswerSchema = z.discriminatedUnion('answer', [
  /** It lies on the shelf. */
  z.object({ answer: z.literal('has') }),
  /** It would be ordered, and be there after some days. */
  z.object({ answer: z.literal('orders'), days: z.number().int().min(1).max(60) }),
  z.object({ answer: z.literal('has not') }),
  /** Nobody there will say. */
  z.object({ answer: z.literal('will not say'), because: text(200) }),
  /** Nobody is there; when somebody will be, by the clock on the wall, if that is known. */
  z.object({ answer: z.literal('shut'), opens: text(16).nullable() }),
])
export type CounterAnswer = z.infer<typeof counterAnswerSchema>

/** Chance that what was said to be on the shelf still is when one comes for it. Planning value. */
const stillThere = 0.95
/** Chance that what was ordered has come in time. Planning value. */
const orderCame = 0.85
/** Chance that a place that has not got it has it after all. Planning value. */
const afterAll = 0.02

/**
 * A service after somebody has asked there.
 *
 * @param daysUntilVisit days from the question to the visit; null while nobody knows
 * @returns the service as it was where nothing was learned
 */
export function afterAsking(
  service: Service,
  classId: string,
  answer: CounterAnswer,
  daysUntilVisit: number | null,
): Service {
  const known = (chance: number): Service => ({
    ...service,
    knownFrom: 'asked',
    stocks: { ...service.stocks, [classId]: chance },
  })
  switch (answer.answer) {
    case 'has':
      return known(stillThere)
    case 'orders':
      return known(daysUntilVisit === null || daysUntilVisit >= answer.days ? orderCame : afterAll)
    case 'has not':
      return known(afterAll)
    case 'will not say':
    case 'shut':
      return service
  }
}
