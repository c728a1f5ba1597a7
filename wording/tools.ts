import type { Head } from '#core/bench'
import type { Drive } from '#core/bike'

const driveWords: Record<Drive['profile'], string> = {
  hex: 'hex',
  hexalobular: 'T',
  phillips: 'Phillips',
  pozidriv: 'Pozidriv',
  slot: 'slot',
  flats: 'nut',
  nipple: 'nipple',
  spline: 'spline',
  'valve-core': 'core',
  'chain-pin': 'chain pin',
  'quick-link': 'quick link',
  'by-hand': 'by hand',
}

/** "hex 5", "T25", "nut 15", "Pozidriv 2": a drive as riders say it. */
export function driveInWords(drive: Drive): string {
  const word = driveWords[drive.profile]
  if (!('size' in drive)) return word
  return drive.profile === 'hexalobular' ? `T${drive.size}` : `${word} ${drive.size}`
}

const headWords: Record<Head['profile'], string> = {
  hex: 'hex',
  slot: 'blade',
  'open-end': 'open end',
  ring: 'ring',
  socket: 'socket',
  'spoke-key': 'spoke key',
  adjustable: 'adjustable to',
  pliers: 'pliers to',
  hexalobular: 'T',
  phillips: 'Phillips',
  pozidriv: 'Pozidriv',
  spline: 'spline',
  'valve-core': 'core key,',
  'chain-pin': 'chain breaker',
  'link-pliers': 'link pliers',
}

/** "hex 5", "T25", "ring 15", "adjustable to 16": a head as riders say it. */
export function headInWords(head: Head): string {
  const word = headWords[head.profile]
  if (!('size' in head)) return word
  return head.profile === 'hexalobular' ? `T${head.size}` : `${word} ${head.size}`
}

/** Heads together by kind: "hex 2, 2.5, 3", "T25, T30". */
export function headsInWords(heads: readonly Head[]): string[] {
  const byProfile = new Map<Head['profile'], string[]>()
  for (const head of heads) byProfile.set(head.profile, [...(byProfile.get(head.profile) ?? []), headInWords(head)])
  return [...byProfile].map(([profile, names]) => {
    const [first, ...others] = names
    return [
      first,
      ...others.map((name) => (profile === 'hexalobular' ? name : name.replace(`${headWords[profile]} `, ''))),
    ].join(', ')
  })
}
