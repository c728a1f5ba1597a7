import type { SpareReason } from '#core/spares'
import type { SupplyFamily } from '#core/supply'

/** What a size of a family is the size of. */
const sizeNames: Record<SupplyFamily['variant'], string> = {
  bead: 'bead',
  speeds: 'speeds',
  shape: 'shape',
  length: 'mm',
  kind: 'kind',
  none: '',
}
const valveNames = { presta: 'Presta', schrader: 'Schrader' } as const

/** What speaks against a spare on a bike, in a line; empty where nothing does. */
export function spareReasonInWords(reason: SpareReason | null): string {
  if (reason === null) return ''
  switch (reason.about) {
    case 'other size': {
      const mark = (size: string) => (reason.variant === 'shape' ? size.toUpperCase() : size)
      return `${sizeNames[reason.variant]} ${mark(reason.has)}, not ${mark(reason.wanted)}`
    }
    case 'width range unknown':
      return 'made for which widths is not known'
    case 'width': {
      const range = `made for ${reason.fromMm} to ${reason.toMm} mm, the tyre is ${reason.tyreMm}`
      return reason.finding === 'at its limit' ? range : `${reason.finding}: ${range}`
    }
    case 'valve unknown':
      return 'which valve it has is not known'
    case 'valve hole':
      return 'a Schrader valve does not go through the hole of the rim'
    case 'other valve':
      return `a ${valveNames[reason.valve]} valve: the pump must do it, and a wide hole wants a sleeve`
    case 'stem unknown':
      return 'stem not measured'
    case 'stem':
      return `stem of ${reason.stemMm} mm in a rim ${reason.depthMm} mm deep: ${reason.pumps === 'none' ? 'no pump holds on' : 'few pumps hold on'}`
    case 'tyre width unknown':
      return 'its width is not known'
    case 'clearance':
      return `${reason.widthMm} mm wide where ${reason.mountedMm} is on: look whether it clears the frame`
    case 'spoke length':
      return `${reason.carriedMm} mm where ${reason.wantedMm} is wanted`
    case 'spoke not measured':
      return `length not measured: ${reason.wantedMm} mm is calculated from rim and hub`
    case 'cable not measured':
      return 'length of the cable not measured'
    case 'cable of the bike not measured':
      return 'length on the bike not measured'
    case 'cable too short':
      return `${reason.lengthMm} mm long where ${reason.neededMm} is needed`
  }
}
