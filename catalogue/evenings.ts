import { z } from 'zod'
import { eveningCareSchema, type EveningCare } from '#core/trail'

/** What is looked after in the evening of a day on the road. Common practice, no source; the km are planning values. */
export const evenings: EveningCare[] = z.array(eveningCareSchema).parse([
  {
    id: 'lube',
    name: 'Wipe and oil the chain',
    look: 'A drop on each roller, turn, wait, wipe off what is outside. Keep it off discs and rims.',
    everyKm: 150,
    everyKmWet: 50,
    renews: ['chain-dry'],
    hazards: ['chain-dry', 'chain-worn', 'chain-broken', 'chain-links-ruined'],
  },
  {
    id: 'tyres',
    name: 'Tyres: press and look',
    look: 'Press with the thumb. Turn each wheel once: pick out flints and thorns, look for cuts.',
    everyKm: 0,
    everyKmWet: 0,
    hazards: ['puncture', 'tubeless-hole', 'sidewall-cut', 'burped-bead', 'valve-core', 'sealant-dry', 'tread-worn'],
  },
  {
    id: 'bolts',
    name: 'Bolts that come loose',
    look: 'Rack, cage, mudguard, cleats: a finger on each. Lift the bike a hand high and let it fall: what rattles?',
    everyKm: 120,
    everyKmWet: 120,
    hazards: [
      'rack-bolt',
      'cage-bolt',
      'mudguard-bolt',
      'cleat-bolt',
      'light-bracket',
      'chainring-bolt',
      'stem-bolt',
      'rotor-bolt',
    ],
    afterLoose: true,
  },
  {
    id: 'brakes',
    name: 'Brake pads, by eye',
    look: 'A light from behind. As thin as a coin: new ones. Pull each lever once, hard.',
    everyKm: 150,
    everyKmWet: 50,
    hazards: ['pads-worn', 'calliper-rubs', 'rotor-bent', 'brake-cable', 'hydraulic-down'],
  },
  {
    id: 'wheels',
    name: 'Spin both wheels',
    look: 'Watch the rim or the disc pass. Squeeze the spokes in pairs: a slack one is felt.',
    everyKm: 200,
    everyKmWet: 200,
    hazards: ['wheel-out-of-true', 'spoke-rear-drive', 'spoke-rear-left', 'spoke-front-left', 'spoke-front-right'],
  },
  {
    id: 'shifting',
    name: 'Charge what shifts',
    look: 'The lamp on the derailleur or the lever: green, or on the cable tonight.',
    applies: { all: ['electric-shift'] },
    everyKm: 0,
    everyKmWet: 0,
    hazards: ['shift-battery'],
  },
])
