import { z } from 'zod'
import { symptomSchema, type Symptom } from '#core/hazard'

/** What is seen, heard or felt when something has failed. Common practice, no source. */
export const symptoms: Symptom[] = z.array(symptomSchema).parse([
  {
    id: 'no-air',
    name: 'no air',
    places: ['wheels'],
    hazards: [
      'puncture',
      'tubeless-hole',
      'sidewall-cut',
      'valve-core',
      'burped-bead',
      'valve-torn',
      'valve-nut-seized',
    ],
  },
  {
    id: 'losing-air',
    name: 'loses air slowly',
    places: ['wheels'],
    hazards: ['puncture', 'tubeless-hole', 'sealant-dry', 'valve-core', 'valve-nut-seized'],
  },
  {
    id: 'tyre-bulges',
    name: 'the tyre bulges or is cut',
    places: ['wheels'],
    hazards: ['sidewall-cut', 'tread-worn'],
  },
  {
    id: 'wobbles',
    name: 'a wheel wobbles or rubs',
    places: ['wheels'],
    hazards: ['wheel-out-of-true', 'spoke-rear-drive', 'spoke-rear-left', 'spoke-front-left', 'spoke-front-right'],
  },
  {
    id: 'pedals-turn-free',
    name: 'pedals turn, nothing moves',
    places: ['drive'],
    hazards: ['chain-broken', 'chain-links-ruined'],
  },
  {
    id: 'drive-jammed',
    name: 'the drive is jammed',
    places: ['drive', 'gears'],
    hazards: ['caught-in-drive', 'hanger-sheared', 'derailleur-torn', 'chain-links-ruined', 'pulley-bolt'],
  },
  {
    id: 'chain-skips',
    name: 'the chain skips or jumps',
    places: ['drive', 'gears'],
    hazards: ['indexing-out', 'hanger-bent', 'dropout-bent', 'chain-worn', 'chain-links-ruined', 'cable-frayed'],
  },
  {
    id: 'drive-noise',
    name: 'noise when pedalling',
    places: ['drive'],
    hazards: ['chain-dry', 'chainring-bolt', 'chainring-bolt-lost', 'crank-loose', 'pedal-loose', 'chain-worn'],
  },
  {
    id: 'crank-moves',
    name: 'crank or pedal moves about',
    places: ['drive'],
    hazards: ['crank-loose', 'pedal-loose', 'chainring-bolt', 'chainring-bolt-lost'],
  },
  {
    id: 'will-not-shift',
    name: 'will not shift',
    places: ['gears'],
    hazards: ['shift-cable', 'indexing-out', 'cable-frayed', 'housing-rubbed', 'shift-battery', 'hanger-bent'],
  },
  {
    id: 'derailleur-hangs',
    name: 'the derailleur is bent or hangs off',
    places: ['gears'],
    hazards: ['hanger-bent', 'hanger-sheared', 'derailleur-torn', 'dropout-bent', 'pulley-bolt'],
  },
  {
    id: 'brake-soft',
    name: 'a brake is soft or does nothing',
    places: ['brakes'],
    hazards: ['pads-worn', 'hydraulic-down', 'brake-cable', 'rotor-bolt'],
  },
  {
    id: 'brake-rubs',
    name: 'a brake rubs or squeals',
    places: ['brakes', 'wheels'],
    hazards: ['calliper-rubs', 'rotor-bent', 'pads-worn', 'rotor-bolt', 'wheel-out-of-true'],
  },
  {
    id: 'bar-moves',
    name: 'bar or fork moves or knocks',
    places: ['front'],
    hazards: ['stem-loose', 'headset-loose', 'bar-slips', 'stem-bolt'],
  },
  { id: 'fork-low', name: 'the fork sinks', places: ['front'], hazards: ['fork-low'] },
  {
    id: 'frame-moves',
    name: 'the frame moves where it should not',
    places: ['seat', 'front'],
    hazards: ['hinge-loose', 'hinge-clamp', 'pivot-loose'],
  },
  {
    id: 'saddle-moves',
    name: 'saddle or post moves',
    places: ['seat'],
    hazards: ['saddle-slips', 'seat-clamp', 'saddle-sags'],
  },
  {
    id: 'something-rattles',
    name: 'something rattles or hangs loose',
    places: ['load', 'front', 'seat'],
    hazards: ['cage-bolt', 'mudguard-bolt', 'rack-bolt', 'light-bracket'],
  },
  {
    id: 'bag-open',
    name: 'a bag hangs, gapes or will not close',
    places: ['load'],
    hazards: ['bag-strap', 'rack-bolt', 'bag-torn', 'zip-broken'],
  },
  {
    id: 'camp-broken',
    name: 'tent or mat',
    places: ['load'],
    hazards: ['tent-pole', 'mat-leaks'],
  },
  {
    id: 'shoe',
    name: 'shoe or cleat',
    places: ['rider', 'drive'],
    hazards: ['shoe-strap', 'cleat-bolt', 'cleat-lost'],
  },
  { id: 'skin', name: 'something in the skin', places: ['rider'], hazards: ['thorn-in-skin'] },
  { id: 'motor-dead', name: 'the motor does nothing', places: ['motor'], hazards: ['motor-battery', 'motor-fault'] },
])
