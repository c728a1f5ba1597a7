import { z } from 'zod'
import { hazardSchema, type Hazard } from '#core/hazard'

/**
 * What fails on a long ride. Rates, lives and multipliers are planning values
 * from memory; a rider's own log replaces them.
 */
const written: z.input<typeof hazardSchema>[] = [
  {
    kind: 'sudden', id: 'puncture', name: 'flat: thorn, glass or pinch', strikes: 'wheel', settledBy: 'tube-{bead}',
    applies: { all: ['tubed'] }, per1000km: 0.55, onThousandKm: 20, onWornTread: 2, stops: 0.9, limpShare: 0.3, alsoSettledBy: ['patch', 'mechanic'],
    onBike: [{ when: 'tough-tyre', times: 0.5 }, { when: 'light-tyre', times: 1.6 }, { when: 'small-wheel', times: 1.25 }],
    onRoad: [{ when: 'asphalt', times: 0.7 }, { when: 'singletrack', times: 1.3 }, { when: 'thorns', times: 4 }],
  },
  {
    kind: 'sudden', id: 'tubeless-hole', name: 'hole that sealant does not close', strikes: 'wheel', settledBy: 'tube-{bead}',
    applies: { all: ['tubeless'] }, per1000km: 0.1, onThousandKm: 10, onWornTread: 2, stops: 0.9, limpShare: 0.3, alsoSettledBy: ['plug', 'mechanic'],
    onBike: [{ when: 'tough-tyre', times: 0.6 }, { when: 'light-tyre', times: 1.5 }],
    onRoad: [{ when: 'asphalt', times: 0.6 }, { when: 'singletrack', times: 1.4 }, { when: 'thorns', times: 1.6 }],
  },
  {
    kind: 'sudden', id: 'sidewall-cut', name: 'sidewall or tread cut', strikes: 'wheel', settledBy: 'tyre-{bead}',
    per1000km: 0.03, onWornTread: 3, stops: 0.95, limpShare: 0.4,
    onBike: [{ when: 'tough-tyre', times: 0.5 }, { when: 'light-tyre', times: 1.8 }],
    onRoad: [{ when: 'asphalt', times: 0.5 }, { when: 'track', times: 1.4 }, { when: 'singletrack', times: 1.8 }],
    caution: 'A cut tyre may burst: ride gently, brake early, and have it replaced at the next shop.',
  },
  {
    kind: 'sudden', id: 'valve-core', name: 'valve core bent or clogged', strikes: 'wheel', settledBy: 'valve-core-{valve}',
    per1000km: 0.03, stops: 0.25, limpShare: 0.3, alsoSettledBy: ['tube-{bead}', 'mechanic'], onBike: [{ when: 'tubeless', times: 1.8 }],
  },
  {
    kind: 'sudden', id: 'burped-bead', name: 'tyre off the bead', strikes: 'wheel', settledBy: 'tube-{bead}',
    applies: { all: ['tubeless'] }, per1000km: 0.015, stops: 0.95, limpShare: 0.4, alsoSettledBy: ['mechanic'], onRoad: [{ when: 'singletrack', times: 2 }],
  },
  {
    kind: 'sudden', id: 'chain-broken', name: 'chain broken or bent', settledBy: 'quick-link-{speeds}', per1000km: 0.06,
    stops: 1, limpShare: 0, alsoSettledBy: ['chain-{speeds}', 'mechanic'], onRoad: [{ when: 'mud', times: 2 }, { when: 'sand', times: 1.5 }],
  },
  {
    kind: 'sudden', id: 'chain-links-ruined', name: 'several chain links ruined', settledBy: 'chain-{speeds}', per1000km: 0.01,
    stops: 1, limpShare: 0, alsoSettledBy: ['chain-piece-{speeds}', 'mechanic'], onRoad: [{ when: 'mud', times: 2 }, { when: 'sand', times: 1.5 }],
  },
  {
    kind: 'sudden', id: 'caught-in-drive', name: 'strap, lace or branch caught in the drive', settledBy: 'mechanic', per1000km: 0.03,
    stops: 0.7, limpShare: 0.1, onRoad: [{ when: 'singletrack', times: 1.5 }],
    caution: 'Off the bike before reaching in; turn the cranks by hand only with fingers clear.',
  },
  {
    kind: 'sudden', id: 'hanger-bent', name: 'hanger bent', settledBy: 'hanger-{hanger}', applies: { all: ['derailleur'], none: ['hanger-of-frame'] },
    per1000km: 0.04, stops: 0.05, limpShare: 0.15, alsoSettledBy: ['mechanic'], onRoad: [{ when: 'singletrack', times: 2 }, { when: 'track', times: 1.3 }],
  },
  {
    kind: 'sudden', id: 'dropout-bent', name: 'hanger of the frame bent', settledBy: 'mechanic', applies: { all: ['derailleur', 'hanger-of-frame'] },
    per1000km: 0.03, stops: 0.05, limpShare: 0.15, onRoad: [{ when: 'singletrack', times: 2 }, { when: 'track', times: 1.3 }],
    caution: 'Steel bends back; aluminium and carbon break: leave those to a mechanic.',
  },
  {
    kind: 'sudden', id: 'hanger-sheared', name: 'hanger sheared in a harmless-looking fall', settledBy: 'hanger-{hanger}',
    applies: { all: ['derailleur'], none: ['hanger-of-frame'] }, per1000km: 0.015, stops: 0.95, limpShare: 0.5, onRoad: [{ when: 'singletrack', times: 2 }],
  },
  {
    kind: 'sudden', id: 'derailleur-torn', name: 'derailleur torn off', settledBy: 'derailleur-{speeds}',
    applies: { all: ['derailleur'] }, per1000km: 0.008, stops: 0.95, limpShare: 0.5,
    onRoad: [{ when: 'singletrack', times: 2 }, { when: 'mud', times: 2 }],
  },
  {
    kind: 'sudden', id: 'pulley-bolt', name: 'pulley bolt lost', settledBy: 'pulley-bolt', applies: { all: ['derailleur'] },
    per1000km: 0.01, stops: 0.8, limpShare: 0.4, alsoSettledBy: ['derailleur-{speeds}'],
  },
  {
    kind: 'sudden', id: 'shift-cable', name: 'shift cable broken', settledBy: 'shift-cable', applies: { all: ['cable-shift'] },
    per1000km: 0.05, stops: 0, limpShare: 0.15,
  },
  {
    kind: 'sudden', id: 'housing-rubbed', name: 'cable housing rubbed through', settledBy: 'cable-housing', applies: { all: ['cable-shift'] },
    per1000km: 0.02, stops: 0, limpShare: 0.06, alsoSettledBy: ['mechanic'],
  },
  {
    kind: 'sudden', id: 'shift-battery', name: 'battery of the shifting flat', settledBy: 'mechanic', applies: { all: ['electric-shift'] },
    per1000km: 0.08, stops: 0, limpShare: 0.15, alsoSettledBy: ['usb-charge'],
  },
  {
    kind: 'sudden', id: 'brake-cable', name: 'brake cable frayed or broken', settledBy: 'brake-cable',
    applies: { all: ['cable-brake'] }, per1000km: 0.03, stops: 0.05, limpShare: 0.15,
    caution: 'Brakes decide over life: have them looked at by a mechanic, and walk steep descents with one brake.',
  },
  {
    kind: 'sudden', id: 'rotor-bent', name: 'rotor bent', settledBy: 'mechanic', applies: { all: ['disc-brake'] },
    per1000km: 0.03, stops: 0.1, limpShare: 0.1, caution: 'A rotor gets hot enough to burn; let it cool before touching it.',
  },
  {
    kind: 'sudden', id: 'hydraulic-down', name: 'hydraulic brake down', settledBy: 'mechanic', applies: { all: ['hydraulic'] },
    per1000km: 0.02, stops: 0.05, limpShare: 0.15,
    caution: 'Brakes decide over life: walk steep descents with one brake, and leave bleeding to a mechanic.',
  },
  {
    // Of the two sides of a front wheel the one with a disc works harder.
    kind: 'sudden', id: 'spoke-front-left', name: 'front left spoke broken', settledBy: 'spoke-{spokeFrontLeft}',
    per1000km: 0.008, stops: 0.05, limpShare: 'by spokes', alsoSettledBy: ['mechanic'], wheel: 'front', onBike: [{ when: 'rack', times: 1.2 }, { when: 'disc-brake', times: 1.3 }],
  },
  {
    kind: 'sudden', id: 'spoke-front-right', name: 'front right spoke broken', settledBy: 'spoke-{spokeFrontRight}',
    per1000km: 0.008, stops: 0.05, limpShare: 'by spokes', alsoSettledBy: ['mechanic'], wheel: 'front', onBike: [{ when: 'rack', times: 1.2 }, { when: 'disc-brake', times: 0.7 }],
  },
  {
    kind: 'sudden', id: 'spoke-rear-left', name: 'rear left spoke broken', settledBy: 'spoke-{spokeRearLeft}',
    per1000km: 0.025, stops: 0.05, limpShare: 'by spokes', alsoSettledBy: ['mechanic'], wheel: 'rear', onBike: [{ when: 'rack', times: 1.8 }],
  },
  {
    kind: 'sudden', id: 'spoke-rear-drive', name: 'rear drive-side spoke broken', settledBy: 'spoke-{spokeRearDrive}',
    per1000km: 0.05, stops: 0.05, limpShare: 'by spokes', alsoSettledBy: ['mechanic'], wheel: 'rear', onBike: [{ when: 'rack', times: 1.8 }],
  },
  {
    kind: 'sudden', id: 'wheel-out-of-true', name: 'wheel out of true', strikes: 'wheel', settledBy: 'mechanic',
    per1000km: 0.04, stops: 0.05, limpShare: 0.12, onRoad: [{ when: 'singletrack', times: 1.6 }],
  },
  {
    kind: 'sudden', id: 'rack-bolt', name: 'rack bolt lost or broken', settledBy: 'rack-bolt', applies: { all: ['rack'] },
    per1000km: 0.08, stops: 0.05, limpShare: 0.1, alsoSettledBy: ['zip-tie'], fastener: 'rack-bolt', onRoad: [{ when: 'track', times: 1.5 }, { when: 'singletrack', times: 1.5 }],
  },
  {
    kind: 'sudden', id: 'cleat-bolt', name: 'cleat bolt lost', settledBy: 'cleat-bolt', applies: { all: ['cleats'] },
    per1000km: 0.06, stops: 0, limpShare: 0.03,
  },
  {
    kind: 'sudden', id: 'cleat-lost', name: 'cleat lost or torn', settledBy: 'cleat-{cleat}', applies: { all: ['cleats'] },
    per1000km: 0.02, stops: 0, limpShare: 0.06,
  },
  {
    kind: 'sudden', id: 'valve-torn', name: 'tubeless valve torn', strikes: 'wheel',
    settledBy: 'tubeless-valve', applies: { all: ['tubeless'] }, per1000km: 0.01, stops: 1, limpShare: 0, alsoSettledBy: ['tube-{bead}'],
  },
  {
    kind: 'sudden', id: 'valve-nut-seized', name: 'tubeless valve leaking, its nut seized', strikes: 'wheel', settledBy: 'mechanic',
    applies: { all: ['tubeless'] }, per1000km: 0.002, stops: 0.5, limpShare: 0.3, onRoad: [{ when: 'wet', times: 1.5 }],
  },
  {
    kind: 'sudden', id: 'seat-clamp', name: 'seat clamp bolt broken', settledBy: 'seat-bolt', per1000km: 0.02, stops: 0.1, limpShare: 0.3,
    caution: 'On a carbon post or frame, tighten only with a torque key and to the maker’s value.',
  },
  {
    kind: 'sudden', id: 'rotor-bolt', name: 'rotor bolt lost', settledBy: 'rotor-bolt', applies: { all: ['disc-brake'] },
    per1000km: 0.03, stops: 0.05, limpShare: 0.08, alsoSettledBy: ['mechanic'], fastener: 'rotor-bolt', caution: 'A loose rotor can lock the wheel: check the others too, and use thread locker.',
  },
  {
    kind: 'sudden', id: 'crank-loose', name: 'crank loose', settledBy: 'mechanic', per1000km: 0.02, stops: 0.2, limpShare: 0.3,
    caution: 'A crank bolt wants more torque than a short lever gives.',
  },
  {
    kind: 'sudden', id: 'stem-loose', name: 'stem or headset loose', settledBy: 'mechanic', per1000km: 0.03,
    applies: { none: ['threaded-headset'] }, stops: 0.1, limpShare: 0.2, onRoad: [{ when: 'singletrack', times: 1.5 }],
    caution: 'Steering and carbon want a torque key and the maker’s value; if in doubt, walk to a mechanic.',
  },
  {
    kind: 'sudden', id: 'headset-loose', name: 'headset loose', settledBy: 'mechanic', per1000km: 0.03,
    applies: { all: ['threaded-headset'] }, stops: 0.05, limpShare: 0.1, onRoad: [{ when: 'singletrack', times: 1.5 }],
    caution: 'Steering: if in doubt, walk to a mechanic.',
  },
  {
    kind: 'sudden', id: 'pedal-loose', name: 'pedal loose', settledBy: 'mechanic', per1000km: 0.015, stops: 0.1, limpShare: 0.2,
  },
  {
    kind: 'sudden', id: 'hinge-loose', name: 'folding hinge loose', settledBy: 'mechanic', applies: { all: ['folds'] },
    per1000km: 0.08, stops: 0.5, limpShare: 0.3, onRoad: [{ when: 'track', times: 1.5 }, { when: 'singletrack', times: 1.5 }],
    caution: 'A hinge that opens throws one off; if in doubt, walk to a mechanic.',
  },
  {
    kind: 'sudden', id: 'chainring-bolt', name: 'chainring bolt loose', settledBy: 'mechanic', per1000km: 0.03,
    stops: 0, limpShare: 0.05,
  },
  {
    kind: 'sudden', id: 'chainring-bolt-lost', name: 'chainring bolt lost', settledBy: 'chainring-bolt', per1000km: 0.015,
    stops: 0, limpShare: 0.08, alsoSettledBy: ['mechanic'], fastener: 'chainring-bolt',
  },
  {
    kind: 'sudden', id: 'stem-bolt', name: 'stem bolt broken or lost', settledBy: 'stem-bolt', per1000km: 0.006, stops: 0.4, limpShare: 0.3,
    alsoSettledBy: ['mechanic'], fastener: 'stem', caution: 'Steering: a stem one bolt short must not be ridden hard; have it looked at, and all its bolts changed.',
  },
  {
    kind: 'sudden', id: 'hinge-clamp', name: 'folding clamp lost', settledBy: 'hinge-clamp', applies: { all: ['folds'] }, per1000km: 0.02,
    stops: 0.95, limpShare: 0.4, caution: 'A hinge that opens throws one off: a strap holds for pushing, not for riding.',
  },
  {
    kind: 'sudden', id: 'saddle-sags', name: 'leather saddle sagging', settledBy: 'mechanic', applies: { all: ['leather-saddle'] }, per1000km: 0.1,
    stops: 0, limpShare: 0.05, fastener: 'saddle-tension', onRoad: [{ when: 'wet', times: 1.8 }],
  },
  {
    kind: 'sudden', id: 'light-bracket', name: 'light bracket or its rubber ring broken', settledBy: 'o-ring', applies: { all: ['lights'] },
    per1000km: 0.06, stops: 0, limpShare: 0.02, alsoSettledBy: ['zip-tie', 'tape'],
  },
  {
    kind: 'sudden', id: 'fork-low', name: 'suspension fork low on air', settledBy: 'mechanic', applies: { all: ['suspension-fork'] },
    per1000km: 0.05, stops: 0.02, limpShare: 0.06, onRoad: [{ when: 'singletrack', times: 1.5 }],
  },
  {
    kind: 'sudden', id: 'pivot-loose', name: 'suspension pivot loose', settledBy: 'mechanic',
    applies: { all: ['rear-suspension'] }, per1000km: 0.06, stops: 0.05, limpShare: 0.1, onRoad: [{ when: 'singletrack', times: 1.5 }],
  },
  {
    kind: 'sudden', id: 'bag-strap', name: 'bag strap or buckle broken', settledBy: 'strap', per1000km: 0.12, stops: 0, limpShare: 0.04, alsoSettledBy: ['zip-tie', 'mechanic'],
    onRoad: [{ when: 'singletrack', times: 1.5 }],
  },
  { kind: 'sudden', id: 'bag-torn', name: 'bag torn', settledBy: 'thread', per1000km: 0.05, stops: 0, limpShare: 0.02, alsoSettledBy: ['tape'] },
  {
    kind: 'sudden', id: 'zip-broken', name: 'zip stuck or broken', settledBy: 'safety-pin', per1000km: 0.05, stops: 0, limpShare: 0.02,
    alsoSettledBy: ['strap', 'thread'], onRoad: [{ when: 'sand', times: 1.5 }, { when: 'mud', times: 1.5 }],
  },
  { kind: 'sudden', id: 'shoe-strap', name: 'shoe strap or lace broken', settledBy: 'strap', per1000km: 0.03, stops: 0, limpShare: 0.04, alsoSettledBy: ['cord', 'zip-tie'] },
  // What is carried for the night: badly slept is slowly ridden.
  { kind: 'sudden', id: 'tent-pole', name: 'tent pole broken', settledBy: 'pole-sleeve', applies: { all: ['tent'] }, per1000km: 0.05, stops: 0, limpShare: 0.03 },
  {
    kind: 'sudden', id: 'mat-leaks', name: 'sleeping mat punctured', settledBy: 'mat-patch', applies: { all: ['mat'] }, per1000km: 0.08, stops: 0,
    limpShare: 0.03, alsoSettledBy: ['patch'], onRoad: [{ when: 'thorns', times: 3 }],
  },
  {
    kind: 'sudden', id: 'thorn-in-skin', name: 'thorn or splinter in the skin', settledBy: 'tweezers', per1000km: 0.04, stops: 0, limpShare: 0.04,
    onRoad: [{ when: 'thorns', times: 8 }, { when: 'singletrack', times: 1.3 }],
    caution: 'Clean the wound. What is deep, in a joint or in an eye, and whatever reddens, belongs to a doctor; ask whether your tetanus vaccination still holds.',
  },
  {
    kind: 'sudden', id: 'motor-battery', name: 'battery of the motor flat', settledBy: 'socket', applies: { all: ['motor'] }, per1000km: 0.25,
    stops: 0, limpShare: 0.6, alsoSettledBy: ['mechanic'],
  },
  {
    kind: 'sudden', id: 'motor-fault', name: 'motor fault', settledBy: 'motor-part', applies: { all: ['motor'] }, per1000km: 0.04, stops: 0.02, limpShare: 0.6,
    onRoad: [{ when: 'wet', times: 1.5 }], caution: 'Switch it off and take the battery out first. Motor and battery are opened by a workshop only.',
  },
  // The frequent small ones, for which hex keys are carried.
  {
    kind: 'sudden', id: 'indexing-out', name: 'shifting out of tune', settledBy: 'mechanic', applies: { all: ['derailleur', 'cable-shift'] },
    per1000km: 0.3, stops: 0, limpShare: 0.04,
  },
  {
    kind: 'sudden', id: 'calliper-rubs', name: 'brake calliper out of line and rubbing', settledBy: 'mechanic', applies: { all: ['disc-brake'] },
    per1000km: 0.15, stops: 0, limpShare: 0.05, fastener: 'calliper',
  },
  {
    kind: 'sudden', id: 'saddle-slips', name: 'saddle or post slipping', settledBy: 'mechanic',
    per1000km: 0.1, stops: 0, limpShare: 0.06, fastener: 'saddle',
  },
  {
    kind: 'sudden', id: 'bar-slips', name: 'handlebar slipping', settledBy: 'mechanic',
    per1000km: 0.05, stops: 0.05, limpShare: 0.15, fastener: 'stem', onRoad: [{ when: 'singletrack', times: 1.5 }],
    caution: 'Steering: carbon wants a torque key and the maker’s value; if in doubt, walk to a mechanic.',
  },
  {
    kind: 'sudden', id: 'cage-bolt', name: 'bottle cage bolt loose or lost', settledBy: 'rack-bolt', alsoSettledBy: ['zip-tie', 'mechanic'],
    per1000km: 0.15, stops: 0, limpShare: 0.01, fastener: 'cage-bolt',
  },
  {
    kind: 'sudden', id: 'mudguard-bolt', name: 'mudguard bolt loose or lost', settledBy: 'rack-bolt', alsoSettledBy: ['zip-tie', 'mechanic'],
    per1000km: 0.15, stops: 0.02, limpShare: 0.03, fastener: 'mudguard-bolt',
    caution: 'A mudguard that comes loose can jam the wheel: take it off, or tie it well clear.',
  },
  {
    kind: 'wearing', id: 'pads-worn', name: 'brake pads worn out', settledBy: 'brake-pads-{pad}', part: 'pads',
    lifeKm: 2500, spread: 0.45, stops: 0.1, limpShare: 0.15, onBike: [{ when: 'sintered-pads', times: 0.6 }],
    byDescent: { share: 0.7, mPerKm: 10 },
    onRoad: [{ when: 'wet', times: 2.5 }, { when: 'mud', times: 5 }, { when: 'sand', times: 1.5 }, { when: 'asphalt', times: 0.7 }],
    caution: 'Metal on metal does not stop a bike: walk descents until the pads are changed.',
  },
  {
    kind: 'wearing', id: 'cable-frayed', name: 'shift cable frayed', settledBy: 'shift-cable', alsoSettledBy: ['mechanic'],
    applies: { all: ['derailleur', 'cable-shift'] }, part: 'cables', lifeKm: 8000, spread: 0.35, stops: 0, limpShare: 0.05,
    onRoad: [{ when: 'wet', times: 1.3 }, { when: 'mud', times: 1.6 }],
    caution: 'Frayed strands are sharp: keep fingers clear of the end.',
  },
  {
    kind: 'wearing', id: 'chain-worn', name: 'chain worn out and skipping', settledBy: 'chain-{speeds}', part: 'chain',
    lifeKm: 3000, spread: 0.3, stops: 0.02, limpShare: 0.08,
    onRoad: [{ when: 'wet', times: 1.5 }, { when: 'sand', times: 2 }, { when: 'mud', times: 2.5 }],
  },
  {
    kind: 'wearing', id: 'tread-worn', name: 'tyre worn through', strikes: 'wheel', settledBy: 'tyre-{bead}', part: 'tread',
    lifeKm: 5000, spread: 0.25, stops: 0.6, limpShare: 0.2, onRoad: [{ when: 'asphalt', times: 1.2 }],
  },
  {
    kind: 'wearing', id: 'sealant-dry', name: 'sealant dried out', strikes: 'wheel', settledBy: 'sealant',
    applies: { all: ['tubeless'] }, part: 'sealant', lifeKm: 2200, spread: 0.4, stops: 0, limpShare: 0.03, alsoSettledBy: ['mechanic'],
  },
  {
    kind: 'wearing', id: 'chain-dry', name: 'chain dry and squealing', settledBy: 'lube', part: 'lube', lifeKm: 220,
    spread: 0.4, stops: 0, limpShare: 0.04, onRoad: [{ when: 'wet', times: 2.5 }, { when: 'sand', times: 1.6 }],
  },
]

/**
 * How often what is bolted comes loose once all bolts have been tightened as their makers say and those that lose themselves
 * are locked, against bolts that nobody looked at. Planning values from memory.
 */
const withLockedBolts: Readonly<Record<string, number>> = {
  'rack-bolt': 0.3, 'cleat-bolt': 0.3, 'rotor-bolt': 0.3, 'chainring-bolt': 0.3, 'pulley-bolt': 0.3, 'cage-bolt': 0.3,
  'mudguard-bolt': 0.3, 'pivot-loose': 0.4, 'crank-loose': 0.4, 'pedal-loose': 0.4, 'stem-loose': 0.5, 'headset-loose': 0.5,
  'chainring-bolt-lost': 0.3, 'bar-slips': 0.5, 'saddle-slips': 0.5, 'hinge-loose': 0.6,
}

export const hazards: Hazard[] = z.array(hazardSchema).parse(
  written.map((hazard) => {
    const times = withLockedBolts[hazard.id]
    if (times === undefined) return hazard
    return { ...hazard, onBike: [...(hazard.onBike ?? []), { when: 'locked-bolts', times }] }
  }),
)
