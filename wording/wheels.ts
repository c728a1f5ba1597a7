import type { PressureLimit } from '#core/air'

/** Why a wheel must not be pumped harder. */
export const pressureLimitWords: Record<PressureLimit['setBy'], string> = {
  tyre: 'the side of the tyre says so',
  rim: 'the maker of the rim says so',
  'hookless rim': 'a rim without hooks lets go of the bead beyond it',
}
