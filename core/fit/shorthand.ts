import { headSchema, type Head } from '../bench'
import { driveSchema, type Drive } from '../bike'
import { Fault } from '../validation'

/** Names of drives as they are typed and as they are shown: "hex8", "hex 8", "T25", "PH2", "nut 15", "nipple 3.2". */
const driveNames: Readonly<Record<string, Drive['profile']>> = {
  hex: 'hex',
  t: 'hexalobular',
  ph: 'phillips',
  phillips: 'phillips',
  pz: 'pozidriv',
  pozidriv: 'pozidriv',
  slot: 'slot',
  nut: 'flats',
  flats: 'flats',
  nipple: 'nipple',
}
/** Names of heads as they are typed and as they are shown: "hex8", "ring 15", "adjustable to 16", "spoke key 3.2". */
const headNames: Readonly<Record<string, Head['profile']>> = {
  hex: 'hex',
  t: 'hexalobular',
  ph: 'phillips',
  phillips: 'phillips',
  pz: 'pozidriv',
  pozidriv: 'pozidriv',
  slot: 'slot',
  blade: 'slot',
  open: 'open-end',
  'open end': 'open-end',
  ring: 'ring',
  socket: 'socket',
  adjustable: 'adjustable',
  'adjustable to': 'adjustable',
  pliers: 'pliers',
  'pliers to': 'pliers',
  spoke: 'spoke-key',
  'spoke key': 'spoke-key',
}

/** A name and a size, as "hex8", "hex-8" or "hex 8"; or a size alone. */
const named = /^([a-z]+(?:[ -][a-z]+)?)?[\s-]*(\d+(?:\.\d+)?)$/i

function split(text: string, names: Readonly<Record<string, string>>): { profile: string; size: number } | undefined {
  const match = named.exec(text.trim())
  const profile = match?.[1] && names[match[1].toLowerCase().replace('-', ' ')]
  return profile ? { profile, size: Number(match[2]) } : undefined
}

const examples = (names: Readonly<Record<string, string>>) =>
  [...new Map(Object.entries(names).map(([name, profile]) => [profile, name])).values()]
    .map((name) => (name.length === 1 ? name.toUpperCase() : name))
    .join(', ')

/**
 * Reads a drive by its short name.
 *
 * @throws Fault where it is none
 */
export function readDrive(text: string, where: string): Drive {
  const drive = driveSchema.safeParse(split(text, driveNames))
  if (!drive.success) throw new Fault(where, `“${text}”`, `one of ${examples(driveNames)} and a size: "hex8", "T25"`)
  return drive.data
}

/**
 * Reads a head by its short name.
 *
 * @param measures what is known of it: leverMm, reachMm …
 * @throws Fault where it is none
 */
export function readHead(text: string, where: string, measures: Partial<Head> = {}): Head {
  const named = split(text, headNames)
  const head = headSchema.safeParse(named && { ...measures, ...named })
  if (!head.success) throw new Fault(where, `“${text}”`, `one of ${examples(headNames)} and a size: "hex8", "ring15"`)
  return head.data
}

/**
 * Reads several heads, as one types them or as they are shown: "hex4 hex5 T25", "hex 2, 2.5, 3, ring 15".
 *
 * @throws Fault that names what is none
 */
export function readHeads(text: string, where: string): Head[] {
  // A size alone goes with the name before it.
  const words = text.match(/[a-z]+(?:[ -][a-z]+)?[\s-]*\d+(?:\.\d+)?|[^\s,;]+/gi) ?? []
  let name = ''
  return words.map((word) => {
    const match = named.exec(word)
    name = match?.[1] ?? name
    return readHead(match && !match[1] && name ? `${name} ${word}` : word, where)
  })
}
