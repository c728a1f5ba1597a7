import { headSchema, type Head } from '../bench'
import { driveSchema, type Drive } from '../bike'
import { Fault } from '../fault'

/** Short names of drives: "hex8", "T25", "PH2", "PZ2", "slot4", "nut15", "nipple3.2". */
const driveNames: Readonly<Record<string, Drive['profile']>> = {
  hex: 'hex',
  t: 'hexalobular',
  ph: 'phillips',
  pz: 'pozidriv',
  slot: 'slot',
  nut: 'flats',
  nipple: 'nipple',
}
/** Short names of heads: "hex8", "T25", "ring15", "open15", "adjustable16", "spoke3.2". */
const headNames: Readonly<Record<string, Head['profile']>> = {
  hex: 'hex',
  t: 'hexalobular',
  ph: 'phillips',
  pz: 'pozidriv',
  slot: 'slot',
  open: 'open-end',
  ring: 'ring',
  socket: 'socket',
  adjustable: 'adjustable',
  pliers: 'pliers',
  spoke: 'spoke-key',
}

function split(text: string, names: Readonly<Record<string, string>>): { profile: string; size: number } | undefined {
  const match = /^([a-z]+)-?(\d+(?:\.\d+)?)$/i.exec(text.trim())
  const profile = match && names[match[1]!.toLowerCase()]
  return profile ? { profile, size: Number(match[2]) } : undefined
}

const examples = (names: Readonly<Record<string, string>>) =>
  Object.keys(names)
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
