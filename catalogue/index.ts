import { usualConditions, usualPacking } from '#core/bench'
import { usualTurning } from '#core/fix'
import { successBySkill, usualSharing } from '#core/crew'
import { usualErrands } from '#core/jobs'
import type { Reference } from '#core/reference'
import { bikes } from './bikes'
import { checks } from './checks'
import { containers } from './containers'
import { families } from './families'
import { fixes } from './fixes'
import { functions } from './functions'
import { hazards } from './hazards'
import { items } from './items'
import { jobs } from './jobs'
import { services } from './services'
import { techniques } from './techniques'
import { trials } from './trials'

/** The reference data that trips are analysed against. */
export const catalogue: Reference = {
  families,
  services,
  functions,
  techniques,
  hazards,
  fixes,
  hands: successBySkill,
  works: usualConditions,
  turning: usualTurning,
  sharing: usualSharing,
  packing: usualPacking,
  jobs,
  errands: usualErrands,
  checks,
  trials,
  items,
  containers,
  bikes,
}

export { bikeFrom, bikeStarts } from './bike-from'
export { bagSets } from './containers'
export { placeWords } from './place-words'
export { evenings } from './evenings'
export { symptoms } from './symptoms'
export { ofStrangers } from './strangers'
