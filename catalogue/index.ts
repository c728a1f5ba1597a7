import { usualConditions } from '#core/bench'
import { successBySkill } from '#core/crew'
import type { Reference } from '#core/reference'
import { bikes } from './bikes'
import { families } from './families'
import { fixes } from './fixes'
import { functions } from './functions'
import { hazards } from './hazards'
import { items } from './items'
import { services } from './services'
import { techniques } from './techniques'

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
  items,
  bikes,
}

export { bikeFrom, bikeStarts } from './bikes'
export { placeWords } from './place-words'
