import { z } from 'zod'
import { entry } from '../maths'
import { exitKinds, serviceSchema, type Stop } from './service'

/** What a place may have for a rider: a service, or a way out of the ride. */
export const placeHasSchema = z.union([z.object({ service: z.string() }), z.object({ exit: z.enum(exitKinds) })])
export type PlaceHas = z.infer<typeof placeHasSchema>

/** Words by which places are named that have something; or nothing of the kind, so that they are not understood otherwise. */
export const placeWordsSchema = z.object({
  has: placeHasSchema.nullable(),
  /**
   * Words or phrases in small letters without accents. A star stands for the rest of a word: "fahrrad*", "*werkstatt".
   */
  words: z
    .array(z.string().regex(/^[a-z0-9*]+(?: [a-z0-9*]+)*$/))
    .transform((phrases) => phrases.map((phrase) => phrase.split(' '))),
  /** Words that, just before or after, say that it is something else: "water street", "coffee shop". */
  butNot: z.array(z.string()).default([]),
})
export type PlaceWords = z.infer<typeof placeWordsSchema>

/** Words that say that what is named is not there. */
const denials = [
  'no',
  'not',
  'without',
  'former',
  'formerly',
  'ex',
  'closed',
  'abandoned',
  'kein',
  'keine',
  'ohne',
  'geen',
  'zonder',
  'ehemalige',
  'sans',
  'ferme',
  'sin',
  'cerrado',
  'chiuso',
  'senza',
]
/** A word that denies stands so many words before what it denies. */
const deniesWithin = 2

/** The words of a text, in small letters without accents; "BikeShop" and "bike-shop" are two. */
export function wordsOf(text: string): string[] {
  return text
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[’']/g, '')
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== '')
}

/** Words of one kind, by what their phrases begin with: of two thousand phrases a name has the first word of a few. */
interface IndexedWords extends Omit<PlaceWords, 'words'> {
  readonly byFirst: ReadonlyMap<string, PlaceWords['words']>
  /** The phrases that begin with a part of a word. */
  readonly byPart: PlaceWords['words']
}

function indexed({ has, words, butNot }: PlaceWords): IndexedWords {
  const byFirst = new Map<string, PlaceWords['words']>()
  for (const phrase of words) entry(byFirst, phrase[0] ?? '', () => []).push(phrase)
  return { has, butNot, byFirst, byPart: words.filter(([first = '']) => first.includes('*')) }
}

/**
 * What places seem to have, by their names and by what a file says of them; each name looked at once, however often a list of
 * stops is. A guess that nobody should act on unasked.
 *
 * @param words earlier entries first: a word that has been understood is not understood otherwise
 */
export function placesSeenOnce(
  words: readonly PlaceWords[],
): (stop: Pick<Stop, 'name' | 'hint'>) => readonly PlaceHas[] {
  const vocabulary = words.map(indexed)
  const known = new Map<string, readonly PlaceHas[]>()
  return ({ name, hint }) => entry(known, `${name}\n${hint}`, () => seemsToHave([name, hint], vocabulary))
}

/** @param texts what is said in brackets, or by a symbol, is said for itself */
function seemsToHave(texts: readonly string[], vocabulary: readonly IndexedWords[]): PlaceHas[] {
  const read = texts.map(wordsOf)
  const understood = read.map((words) => words.map(() => false))
  const begins = [...new Set(read.flat().flatMap((word) => [word, word.replace(/s$/, '')]))]
  const seen = new Map<string, PlaceHas>()
  for (const { has, byFirst, byPart, butNot } of vocabulary) {
    const near = [...begins.flatMap((word) => byFirst.get(word) ?? []), ...byPart]
    const found = near.flatMap((phrase) =>
      read.flatMap((words, t) => {
        const at = placeOf(phrase, words, understood[t] ?? [], butNot)
        return at === undefined ? [] : [{ t, at, length: phrase.length }]
      }),
    )
    for (const { t, at, length } of found) {
      for (let i = at; i < at + length; i++) (understood[t] ?? [])[i] = true
    }
    if (found.length > 0 && has) seen.set(nameOf(has), has)
  }
  return [...seen.values()]
}

/** Where a phrase stands among words; nowhere where one of them is understood already, or denied, or means something else there. */
function placeOf(
  phrase: readonly string[],
  words: readonly string[],
  understood: readonly boolean[],
  butNot: readonly string[],
): number | undefined {
  for (let at = 0; at + phrase.length <= words.length; at++) {
    const after = at + phrase.length
    const isThere = phrase.every((part, i) => isMeant(part, words[at + i] ?? '') && !understood[at + i])
    if (!isThere) continue
    const beside = [words[at - 1], words[after]]
    const isOther = beside.some((word) => word !== undefined && butNot.includes(word))
    const isDenied = words.slice(Math.max(0, at - deniesWithin), at).some((word) => denials.includes(word))
    const isClosed = words.length === after + 1 && words[after] === 'closed'
    if (!isOther && !isDenied && !isClosed) return at
  }
  return undefined
}

/** Whether a word of a text is one of the vocabulary, or several of it. */
function isMeant(part: string, word: string): boolean {
  if (part.startsWith('*')) return word.endsWith(part.slice(1))
  if (part.endsWith('*')) return word.startsWith(part.slice(0, -1))
  return word === part || word === `${part}s`
}

/** Words by which whoever named a place says that they are not sure. */
const doubts = ['maybe', 'perhaps', 'possibly', 'allegedly', 'vielleicht', 'misschien', 'forse', 'quizas']

/** Whether a stop's own name has its doubts: "bike shop??", "water, maybe". */
export const isDoubted = ({ name }: Pick<Stop, 'name'>): boolean =>
  name.includes('?') || wordsOf(name).some((word) => doubts.includes(word))

/** Something that a stop seems to have and is not said to have. */
export interface Proposal {
  readonly stop: Stop
  readonly has: PlaceHas
}

/** What stops seem to have beside what they are said to have; nothing that is known not to be there. @param seen looks at one */
export function proposalsFor(stops: readonly Stop[], seen: (stop: Stop) => readonly PlaceHas[]): Proposal[] {
  return stops.flatMap((stop) => {
    const lacks = (has: PlaceHas) =>
      'service' in has ? !stop.services.some(({ kind }) => kind === has.service) : stop.exit === null
    return seen(stop)
      .filter((has) => lacks(has) && !stop.ruledOut.includes(nameOf(has)))
      .map((has) => ({ stop, has }))
  })
}

/** The stops with what is proposed for them; of several ways out of one the first. */
export function withProposals(stops: readonly Stop[], proposals: readonly Proposal[]): Stop[] {
  return stops.map((stop) => proposals.filter((each) => each.stop.id === stop.id).reduce(withOne, stop))
}

function withOne(stop: Stop, { has }: Proposal): Stop {
  if ('exit' in has) return { ...stop, exit: stop.exit ?? has.exit }
  const service = serviceSchema.parse({ kind: has.service, knownFrom: isDoubted(stop) ? 'hearsay' : 'map' })
  return { ...stop, services: [...stop.services, service] }
}

/** The stop, known not to have what was proposed. */
export function withoutProposal({ stop, has }: Proposal): Stop {
  return { ...stop, ruledOut: [...stop.ruledOut, nameOf(has)] }
}

/** The kind of service, or the way out. */
export const nameOf = (has: PlaceHas): string => ('service' in has ? has.service : has.exit)
