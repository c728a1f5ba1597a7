import type { WeighedAtTheDoor } from '#catalogue/demo'
import { getQuery } from 'h3'
import { z } from 'zod'
import { answering } from '../http/error-answers'
import { httpError } from '../http/http-error'
import { doTask } from '../threads/pool'

/** So far apart shops may lie, and no farther; told in tens. */
const askedSchema = z.object({ km: z.coerce.number().int().min(20).max(400).multipleOf(10) })
/** Weighing takes a moment: it has a thread of its own, as long trips have. */
const asLongAs = 1_000_000

/** What was weighed or is being weighed, by km: there are few distances, and what is weighed hangs on nothing else. */
const weighed = new Map<number, Promise<WeighedAtTheDoor[]>>()

function weigh(km: number): Promise<WeighedAtTheDoor[]> {
  const things = doTask('weighBetweenShops', km, asLongAs)
  weighed.set(km, things)
  // What failed is tried again by whoever asks next.
  things.catch(() => weighed.delete(km))
  return things
}

/** A first tin on a road between two bike shops, for whoever looks in at the door. */
export default answering((event): Promise<WeighedAtTheDoor[]> => {
  const asked = askedSchema.safeParse(getQuery(event))
  if (!asked.success) throw httpError(400, 'Bad Request', 'km: expected a number of tens from 20 to 400, as in “150”')
  const { km } = asked.data
  return weighed.get(km) ?? weigh(km)
})
