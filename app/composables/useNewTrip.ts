import { navigateTo } from '#imports'
import { assumedKind, type BikeKind } from '#core/bike'
import type { Skill } from '#core/crew'
import { longestTripName, takenAlong, tripFormat, tripSchema, type Trip } from '#core/trip'
import { refuseTooLarge } from '#core/road'
import { cutTo } from '#core/validation'
import { incomingFile } from '../stores/incoming-file'
import { linesOf } from '../http/api'
import { useTrips } from '../stores/trips'
import { useRequest } from './useRequest'

/** What a trip can be made of. */
export const tripFiles = '.gpx,.json,application/gpx+xml,application/xml,text/xml,application/json'

/** A rider as they are asked about before there is a trip. */
export interface NewRider {
  name: string
  bike: BikeKind
  hands: Skill
}

export const firstRider = (): NewRider => ({ name: '', bike: assumedKind, hands: 2 })

/** Makes a trip of what somebody types or drops, and opens its road. */
export function useNewTrip() {
  const { busy, lines, attempt } = useRequest()

  /** @param make makes the document of the trip */
  function create(make: () => object | Promise<object>): Promise<boolean> {
    return attempt(async () => {
      // Whose trips they are may be settled while the document is made.
      const document = await make()
      const id = await useTrips().create(document)
      await navigateTo(`/trips/${id}/road`)
    })
  }

  /** A trip of riders who are named, or of the riders and bikes of an earlier one. */
  async function written(name: string, riders: readonly NewRider[] | string): Promise<Trip> {
    const begun = {
      format: tripFormat,
      name: name.trim() || 'A trip without a name',
    }
    // What somebody knows better of all their trips holds for this one, too.
    const planning = await useTrips().planning()
    if (typeof riders === 'string') {
      return tripSchema.parse({ ...begun, ...takenAlong(await useTrips().read(riders), planning) })
    }
    const { bikeFrom } = await import('#catalogue')
    return tripSchema.parse({
      ...begun,
      dials: { planning },
      bikes: riders.map((rider, i) => bikeFrom(rider.bike, `bike-${i + 1}`)),
      crew: riders.map((rider, i) => ({
        id: `rider-${i + 1}`,
        name: rider.name.trim() || `Rider ${i + 1}`,
        bikeId: `bike-${i + 1}`,
        hands: rider.hands,
        skills: {},
      })),
    })
  }

  /** A trip of what was typed. @param riders or the id of an earlier trip, whose riders and bikes come along */
  const begin = (name: string, riders: readonly NewRider[] | string) => create(() => written(name, riders))

  /**
   * A trip of a file: a GPX file becomes the road of a new one, a trip document is one.
   *
   * @param riders who rides the road of a GPX file, or the id of an earlier trip
   * @param before is done once it is known that the file may be either
   */
  async function beginWith(
    file: File,
    riders: readonly NewRider[] | string = [firstRider()],
    before: () => Promise<void> = () => Promise.resolve(),
  ): Promise<boolean> {
    const isBegun = await create(async () => {
      const read = await readFile(file)
      await before()
      if (!read) incomingFile.value = file
      return read ?? written(nameOfFile(file.name), riders)
    })
    if (!isBegun) incomingFile.value = undefined
    return isBegun
  }

  return { busy, lines, begin, beginWith }
}

const looksLikeXml = (text: string) => /^[\s\uFEFF]*</.test(text)

/** The name of a file without its ending, and without what stands for spaces. */
const nameOfFile = (name: string) =>
  cutTo(
    name
      .replace(/\.[a-z0-9]{1,5}$/i, '')
      .replace(/[_\s]+/g, ' ')
      .trim(),
    longestTripName,
  )

/**
 * @returns the document that a file holds, or undefined where it holds a road
 * @throws Error saying what is wrong with it, before anything is made of it
 */
async function readFile(file: File): Promise<object | undefined> {
  const refused = (lines: readonly string[]) => new Error(lines.map((line) => `${file.name}: ${line}`).join('\n'))
  try {
    refuseTooLarge(file.size)
  } catch (error) {
    throw refused(linesOf(error))
  }
  const text = await file.text()
  if (!looksLikeXml(text)) return documentIn(text, file.name)
  const { useKitStore } = await import('../stores/kit')
  const answer = await useKitStore().checkRoad(text)
  if (!answer.ok) throw refused(answer.lines)
  return undefined
}

function documentIn(text: string, name: string): object {
  try {
    return JSON.parse(text) as object
  } catch {
    throw new Error(`${name}: neither a GPX file nor a trip document exported from Rag Tin; nothing was made of it`)
  }
}
