/*
 * What to do with one's hands, fix by fix, in short lines for the side of a road. Common practice, no source; the maker's manual
 * comes first where it says otherwise. What is dangerous about a fix is said before its steps (`dangers`).
 */

const wheelOut = [
  'Shift to the smallest sprocket; open the brake where it grips the rim.',
  'Undo the axle and take the wheel out.',
]
const wheelIn = [
  'Set the wheel in until it sits home; close the axle, and the brake.',
  'Spin it: it runs straight, and the brake holds.',
]
const tyreOpen = [
  'Let all air out; push both beads into the middle of the rim.',
  'Lift one bead over the rim with the lever, away from the valve.',
]
const cause = ['Feel round the inside of the tyre for what went in, and take it out.']
const tubeIn = [
  'Give the tube a breath of air and lay it in, valve first.',
  'Press the bead back by hand, the part at the valve last: a lever pinches the tube.',
]
const tubeOut = [...wheelOut, ...tyreOpen, 'Pull the tube out, the valve last.']
const tubeless = ['Take the tubeless valve out, and wipe up loose sealant.']
const pumped = ['Pump until it is firm; look that the bead sits evenly all round.']
const gassed = ['Screw the head on the valve, then the cartridge into it; open it slowly, with a cloth round it.']
const metered = ['Screw regulator and cartridge together, press it on the valve and let gas in bit by bit.']
const blown = ['Set the compressor to a pressure below the tyre’s limit, and let it run.']
const patched = [
  'Find the hole: blow the tube up, listen, hold it to the lips or under water. Mark it.',
  'Roughen round the hole, wider than the patch; wipe the dust off.',
  'Spread glue thinly and wait until it is dull, five minutes.',
  'Press the patch on hard, from its middle out.',
]
const stuck = [
  'Find the hole and mark it; roughen round it and wipe the dust off.',
  'Press the patch on hard for a minute; put air in only with the tube in the tyre.',
]
const plugged = [
  'Leave in what went in until the plug is loaded; turn the hole up, and find where it comes out.',
  'Pull it out, push the plug in until two ends of a thumb’s width stand out, and pull the tool straight back.',
  'Turn the hole down for the sealant; cut the ends to the tread if they flap.',
]
const coreOut = ['Let the air out and screw the core out of the valve.']
const coreIn = ['Screw the core back in, hand-tight and a little more.']
const booted = 'Lay the boot over the cut from inside, well past both of its ends; smooth side to the tube.'
const softly = 'Pump to two thirds of what you ride, and look at the bulge: one that grows wants less air.'
const chainHeld = 'Bring both ends together below the chainstay; hook them so that they do not run away.'
const linkClosed = [
  'Put a half of the quick link into each end, the same way round, and snap them together.',
  'Turn it to the top run, hold the rear brake and stand on the pedal until it clicks.',
]
const pinOut = 'Take out the ruined link: wind the pin out until the plates come apart.'
const tryGears = 'Turn the pedals by hand through all gears before you ride.'
const spokeOut = ['Take the broken spoke out: unscrew the nipple end, and draw the head out of the hub.']
const spokeIn = [
  'Thread the new one through as its neighbours lie, crossing over and under like theirs.',
  'Screw the nipple on until it is as tight as the spokes beside it, by pluck and feel.',
]
const trued = [
  'Spin the wheel; where it rubs, loosen that side and tighten the other by a quarter of a turn.',
  'Go round in small steps until it passes the brake and the frame.',
]
const spokeChanged = [...wheelOut, ...tyreOpen, ...spokeOut, ...spokeIn, ...trued, ...tubeIn, ...pumped, ...wheelIn]
const shiftCable = [
  'Shift to the smallest sprocket; undo the anchor and draw the old cable out at the lever.',
  'Thread the new one through lever and housing until its head sits.',
]
const brakeCable = [
  'Undo the anchor and draw the old cable out at the lever.',
  'Thread the new one until its head sits in the lever.',
  'Hold the pads to the rim or rotor, pull the cable tight, clamp it.',
]
const leverPulled = 'Pull the lever hard ten times; clamp it anew if it has slipped.'
const noKnock = 'Front brake on, rock the bike: nothing knocks.'
const tightenAll = 'Tighten it, then try by hand that nothing moves.'
const again = 'Look at it again after an hour, and every morning.'
const cleanThread = 'Wipe the thread clean and dry; a drop of thread locker on it.'
const bandage = 'Wind it on tight, half over half, and press the end down.'
const tied = 'Pull the ties tight with pliers or teeth, and cut their ends off.'
const lashed = 'Wind it round several times, each turn tight; finish with two half hitches.'

export const steps: Readonly<Record<string, readonly string[]>> = {
  // Flats with a tube
  'swap-tube': [...tubeOut, ...cause, ...tubeIn, ...pumped, ...wheelIn],
  'swap-tube-gas': [...tubeOut, ...cause, ...tubeIn, ...gassed, ...wheelIn],
  'swap-tube-metered': [...tubeOut, ...cause, ...tubeIn, ...metered, ...wheelIn],
  'swap-tube-battery': [...tubeOut, ...cause, ...tubeIn, ...blown, ...wheelIn],
  'patch-tube': [...tubeOut, ...patched, ...cause, ...tubeIn, ...pumped, ...wheelIn],
  'patch-in-place': [
    'Lay the bike down. Find where the hole is by ear.',
    ...tyreOpen,
    'Pull out only as much of the tube as has the hole.',
    ...patched,
    ...cause,
    'Tuck the tube back and press the bead on by hand.',
    ...pumped,
  ],
  'patch-tube-gas': [...tubeOut, ...patched, ...cause, ...tubeIn, ...gassed, ...wheelIn],
  'patch-tube-battery': [...tubeOut, ...patched, ...cause, ...tubeIn, ...blown, ...wheelIn],
  'stick-patch': [...tubeOut, ...stuck, ...cause, ...tubeIn, ...pumped, ...wheelIn],
  // Tubeless
  'plug-hole': [...plugged, ...pumped],
  'plug-hole-gas': [...plugged, ...gassed],
  'plug-hole-metered': [...plugged, ...metered],
  'plug-hole-battery': [...plugged, ...blown],
  'patch-inside': [
    ...wheelOut,
    ...tyreOpen,
    'Wipe the place dry: no sealant may be left on it.',
    'Roughen it, spread glue, wait until it is dull, and press the patch on hard.',
    'Press the bead back by hand.',
    ...pumped,
    ...wheelIn,
  ],
  'thicken-sealant': [
    ...coreOut,
    'Let the acid in through the valve.',
    ...coreIn,
    ...pumped,
    'Spin the wheel, then stand it with the hole down for some minutes.',
  ],
  'top-up-hole': [
    ...coreOut,
    'Shake the bottle; let the sealant in.',
    ...coreIn,
    ...pumped,
    'Spin it; hold the hole down.',
  ],
  'seat-gas': ['Look that the bead lies evenly in the rim; wet it.', ...gassed, 'Listen for the snap on both sides.'],
  'seat-battery': [
    'Look that the bead lies evenly in the rim; wet it.',
    ...blown,
    'Listen for the snap on both sides.',
  ],
  'seat-pump': [
    'Push the bead up to the rim wall all round, and wet it.',
    'Take the core out if it does not fill; pump fast, without a rest.',
    'Listen for the snap on both sides; put the core back quickly and pump again.',
  ],
  'top-up-sealant': [
    ...coreOut,
    'Shake the bottle; let the sealant in.',
    ...coreIn,
    ...pumped,
    'Spin the wheel for a minute.',
  ],
  // Cuts and worn tyres
  'boot-and-tube': [...wheelOut, ...tyreOpen, ...tubeless, ...cause, booted, ...tubeIn, softly, ...wheelIn],
  'boot-tubed': [...tubeOut, ...patched, ...cause, booted, ...tubeIn, softly, ...wheelIn],
  'tape-boot': [
    ...wheelOut,
    ...tyreOpen,
    ...cause,
    'Wipe it dry; lay three or four layers of tape over the cut from inside, across each other.',
    ...tubeIn,
    softly,
    ...wheelIn,
  ],
  'wrapper-boot': [
    ...wheelOut,
    ...tyreOpen,
    ...cause,
    'Fold the wrapper or note to four layers, larger than the cut; hold it in place with the tube.',
    ...tubeIn,
    softly,
    ...wheelIn,
  ],
  'wrapper-tubed': [
    ...tubeOut,
    ...patched,
    ...cause,
    'Fold the wrapper or note to four layers, larger than the cut; hold it in place with the tube.',
    ...tubeIn,
    softly,
    ...wheelIn,
  ],
  'sew-cut': [
    ...wheelOut,
    ...tyreOpen,
    'Sew the cut with close stitches across it, a finger’s breadth from its edges.',
    'Glue over the seam inside and let it dry; lay something smooth over it.',
    ...tubeIn,
    softly,
    ...wheelIn,
  ],
  'spare-tyre': [
    ...tubeOut,
    'Lift the other bead off as well.',
    'Put the new tyre on by one bead, the arrow in the way it rolls.',
    ...tubeIn,
    ...pumped,
    ...wheelIn,
  ],
  'boot-worn': [
    ...tubeOut,
    'Lay the boot under the worn spot, well past it on all sides.',
    ...tubeIn,
    softly,
    ...wheelIn,
  ],
  'tape-worn': [...tubeOut, 'Lay three or four layers of tape under the worn spot.', ...tubeIn, softly, ...wheelIn],
  // Valves
  'change-core': [...coreOut, 'Screw the new core in, hand-tight and a little more.', ...pumped],
  'clear-core': [
    ...coreOut,
    'Scrape and wash the sealant off; bend the pin straight between two fingers.',
    ...coreIn,
    ...pumped,
  ],
  'tube-for-core': [...wheelOut, ...tyreOpen, ...tubeless, ...tubeIn, ...pumped, ...wheelIn],
  'change-valve': [
    ...wheelOut,
    ...tyreOpen,
    'Push the old valve out; press the new one in from inside and tighten its nut by hand.',
    'Press the bead back by hand; pump fast until both sides snap.',
    ...wheelIn,
  ],
  'tube-for-valve': [...wheelOut, ...tyreOpen, ...tubeless, ...tubeIn, ...pumped, ...wheelIn],
  'free-valve-nut': [
    'Hold the valve with one hand, and turn its nut with the pliers; a drop of oil helps.',
    ...wheelOut,
    ...tyreOpen,
    ...tubeless,
    ...tubeIn,
    ...pumped,
    ...wheelIn,
  ],
  'reseat-valve': [
    'Hold the valve with one hand, and turn its nut with the pliers; a drop of oil helps.',
    ...wheelOut,
    ...tyreOpen,
    'Press the new valve in from inside; tighten its nut by hand.',
    'Press the bead back by hand; pump fast until both sides snap.',
    ...wheelIn,
  ],
  // Chain
  'link-chain': [pinOut, 'Both ends must be inner links.', chainHeld, ...linkClosed, tryGears],
  'piece-chain': [
    pinOut,
    'Let in as many links as were lost: an outer link to an inner one.',
    chainHeld,
    ...linkClosed,
    tryGears,
  ],
  'shorten-chain': [
    'Wind the pins out on both sides of the ruined links.',
    chainHeld,
    ...linkClosed,
    'Keep off the largest sprocket with the largest chainring: the chain is too short for it.',
  ],
  'cut-free': [
    'Turn the pedals backwards to see where it is caught.',
    'Cut it, and draw the pieces out; look behind the cassette too.',
  ],
  'pull-free-pliers': ['Turn the pedals backwards by hand.', 'Draw it out with the pliers, bit by bit.', tryGears],
  'pull-free': [
    'Turn the pedals backwards by hand.',
    'Work it loose bit by bit; take the wheel out if it is jammed.',
    tryGears,
  ],
  'pin-chain': [
    chainHeld,
    'Set the old pin to its hole, and wind it in straight until it stands out alike on both sides.',
    'Bend the joint to and fro sideways until it moves freely.',
    'Ride gently, and put a quick link in as soon as there is one.',
  ],
  'new-chain': [
    'Wind a pin out and draw the old chain out; lay it beside the new one.',
    'Cut the new one to as many links.',
    'Thread it as the old one ran: past the cage’s tab, around both pulleys.',
    ...linkClosed,
    tryGears,
  ],
  // Gears
  'change-hanger': [
    'Take the wheel out, and the derailleur off its hanger; let it hang by its cable.',
    'Unscrew the hanger; wipe the seat clean.',
    'Screw the new one on, tight; then the derailleur, its tab behind the stop.',
    'Set the wheel in and close the axle.',
    tryGears,
    'Look that the derailleur stays clear of the spokes in the lowest gear.',
  ],
  'bend-hanger': [
    'Shift to the largest chainring and smallest sprocket.',
    'Take hold of the derailleur by its body, and bend slowly until its cage stands in line with the sprockets.',
    'Look from behind: clear of the spokes in the lowest gear, or screw the stop in.',
    tryGears,
  ],
  'single-speed': [
    'Take the chain apart, and the derailleur off; tie its cable up.',
    'Choose a sprocket in line with the chainring, in the middle.',
    'Lay the chain round both and shorten it until it is just tight.',
    ...linkClosed,
    'Turn the pedals by hand: it must not climb to the next sprocket. Pedal gently.',
  ],
  'change-pulley-bolt': [
    'Look for the washers; set the pulley into the cage as its fellow sits, the chain inside.',
    'Screw the bolt in by hand first, then tight.',
    tryGears,
  ],
  'change-pulley-screw': [
    'Set the pulley you found into the cage, the chain inside.',
    'Screw the bolt in by hand first: it must go without force.',
    tryGears,
  ],
  'wire-pulley': [
    'Set the pulley into the cage, the chain inside.',
    'Put the wire through its middle, and twist the ends together with pliers, clear of the chain.',
    'It must turn; shift as little as you can.',
  ],
  'change-shift-cable': [
    ...shiftCable,
    'Pull it tight, clamp it, cut it a hand’s breadth behind the anchor.',
    tryGears,
    'Turn the barrel until each click moves one gear.',
  ],
  'coil-shift-cable': [
    ...shiftCable,
    'Pull it tight and clamp it; coil the rest, and tape it to the frame clear of the wheel.',
    tryGears,
  ],
  'fix-gear': [
    'Push the derailleur by hand to a gear you can climb in.',
    'Screw the stop of the small sprockets in until it stays there.',
    'Tie the loose cable up.',
  ],
  'new-housing': [
    'Cut the new piece as long as the old; open its ends with something pointed.',
    'Undo the anchor, draw the cable back, change the piece and thread the new cable.',
    'Pull it tight, clamp it and cut it.',
    tryGears,
  ],
  'tape-housing': [
    'Turn the bar to see where it rubs; wipe it dry.',
    bandage,
    'Tie it so that it does not reach the tyre any more.',
  ],
  'tie-housing': ['Lay a straw or a split of wood along the place.', tied, 'See that it stays clear of the tyre.'],
  'charge-shifting': ['Plug the lead in at the derailleur or the battery, and wait.', 'Try all gears.'],
  // Brakes
  'change-brake-cable': [...brakeCable, 'Cut the end a finger’s length behind the anchor.', leverPulled],
  'coil-brake-cable': [...brakeCable, 'Coil the rest and tape it to the frame, far from wheel and pads.', leverPulled],
  'one-brake': [
    'Try the other brake before every descent.',
    'Ride slowly on the flat; get off and walk what is steep.',
  ],
  'change-pads': [
    'Take the wheel out; push the pistons back with something flat that is not sharp.',
    'Pull the pin, draw the old pads with their spring out, and put the new ones in the same way.',
    'Keep fingers and oil off their faces. Pin in, secured.',
    'Set the wheel in and close the axle; pump the lever until it is firm.',
    'Bed them in: twenty slow stops on the flat.',
  ],
  'swap-pads': [
    'Take both wheels out, and both pairs of pads.',
    'Put the thicker pair into the front brake.',
    'Wheels in, axles closed; pump both levers until they are firm.',
  ],
  'bend-rotor': [
    'Wait until it is cold. Spin the wheel and mark where it rubs.',
    'Bend it there by hand with a clean cloth between, a little at a time, away from the rubbing.',
    'Spin it again; a light rub may stay.',
  ],
  'bend-rotor-grip': [
    'Wait until it is cold. Spin the wheel and mark where it rubs.',
    'Take hold with the pliers, a clean cloth between, and bend a little at a time.',
    'Spin it again; a light rub may stay.',
  ],
  'change-rotor-bolt': [
    'Screw the bolt in by hand first.',
    'Tighten all of them in turn, across and across.',
    'Pull the brake hard and look again.',
  ],
  'check-rotor-bolts': [
    'Tighten all that are left in turn, across and across.',
    'Pull the brake hard and look again.',
    again,
  ],
  'lock-rotor-bolts': [
    'Take out one at a time; a drop of thread locker on it, and back in.',
    'Tighten all of them in turn, across and across.',
    'Keep every drop off rotor and pads.',
  ],
  // Wheels
  'change-front-left-spoke': spokeChanged,
  'change-front-right-spoke': spokeChanged,
  'change-left-spoke': [...wheelOut, ...tyreOpen, ...spokeOut, ...spokeIn, ...trued, ...tubeIn, ...pumped, ...wheelIn],
  'change-drive-spoke': [
    ...wheelOut,
    'Set the cassette tool into the lockring; hold the cassette, turn it loose and draw it off. Mind the order.',
    ...tyreOpen,
    ...spokeOut,
    ...spokeIn,
    ...trued,
    'Push the cassette back on and tighten its lockring.',
    ...tubeIn,
    ...pumped,
    ...wheelIn,
  ],
  'change-free-drive-spoke': spokeChanged,
  'fibre-spoke': [
    'Take the broken pieces out; the nipple may stay.',
    'Thread the cord through the hub’s hole as the spoke ran, and hook it into the end on the rim.',
    'Pull it tight, lock it as its leaflet says, and tighten with the spoke key.',
    ...trued,
  ],
  'true-without': [
    'Take the broken spoke out, or wind it round its neighbour.',
    'Loosen the spokes beside it on the other side by half a turn.',
    ...trued,
    'Open the rim brake if it still rubs. Ride gently.',
  ],
  'true-wheel': [...trued],
  // Bolts
  'change-rack-bolt': [
    'Unload that side; set the rack to its hole.',
    'Screw the bolt in by hand first, then tight.',
    again,
  ],
  'tie-rack': ['Set the rack to its place, something soft between.', tied, again],
  'cord-rack': ['Set the rack to its place.', lashed, again],
  'wire-rack': [
    'Put the wire through the hole twice.',
    'Twist the ends together with pliers until it sits, and bend them away.',
    again,
  ],
  'change-cleat-bolt': [
    'Scrape the dirt out of the sole.',
    'Screw the bolt in by hand; set the cleat to its mark; tighten both in turn.',
  ],
  'change-cleat': [
    'Scrape the dirt out of the sole; set the cleat to the old mark.',
    'Screw both bolts in by hand, then tighten them in turn.',
  ],
  'change-seat-bolt': [
    'Set the saddle to its height.',
    'Screw the bolt in by hand first, then tight: the saddle does not turn.',
  ],
  'tape-seat': [
    'Push the post all the way in.',
    'Wind tape round it where it enters, and pull two ties round the clamp.',
    'Ride low and gently, or stand.',
  ],
  'tighten-crank': [
    'Push the crank on by hand.',
    'Tighten its bolt hard; where it pinches, both bolts in turn.',
    again,
  ],
  'lock-crank': ['Take the bolt out.', cleanThread, 'Push the crank on and tighten it hard.', again],
  'tighten-stem': [
    'Loosen the stem’s side bolts; turn the top bolt until the fork has no play and still turns freely.',
    'Set the bar straight; tighten the side bolts in turn.',
    noKnock,
  ],
  'torque-stem': [
    'Loosen the stem’s side bolts; turn the top bolt until the fork has no play and still turns freely.',
    'Set the bar straight; tighten the side bolts in turn to the value written on them.',
    noKnock,
  ],
  'tighten-headset-nut': [
    'Turn the lower ring until the fork has no play and still turns freely.',
    'Hold it and tighten the nut against it.',
    noKnock,
  ],
  'headset-by-hand': [
    'Take the weight off the fork; screw the ring down with a cloth as far as hands can.',
    'Front brake on, rock the bike.',
    again,
  ],
  'tighten-pedal': [
    'The right pedal clockwise, the left one the other way: both tighten towards the front.',
    'Turn hard, the crank held.',
  ],
  'tighten-hinge': [
    'Open the catch; tighten its nut by a quarter of a turn.',
    'Close it: it wants a firm hand. Rock the frame.',
    again,
  ],
  'lock-hinge': [
    'Open the catch and take the nut off.',
    cleanThread,
    'Tighten it until the catch wants a firm hand.',
    again,
  ],
  'change-hinge-clamp': [
    'Take what is left of the old clamp off.',
    'Set the new one as the old sat; close it: it wants a firm hand.',
  ],
  'strap-hinge': ['Close the frame; two straps round the hinge, as tight as they go.', 'Push; do not ride.'],
  'tighten-chainring': ['Hold the nut from behind, and tighten all bolts in turn.', again],
  'lock-chainring': ['Take out one bolt at a time.', cleanThread, 'Tighten all of them in turn.'],
  'change-chainring-bolt': [
    'Hold the nut from behind, and screw the bolt in by hand first.',
    'Tighten all of them in turn.',
  ],
  'tighten-pivot': ['Take the weight off the rear wheel.', 'Tighten each pivot; the links still move freely.', again],
  'lock-pivot': [
    'Take out one bolt at a time, the weight off the wheel.',
    cleanThread,
    'Tighten it; the links still move freely.',
  ],
  'tune-by-hand': ['Pedal; turn the barrel by half turns until the chain runs without a sound.', tryGears],
  'clamp-cable-anew': [
    'Shift to the smallest sprocket; turn the barrel in.',
    'Undo the anchor, pull the cable tight, clamp it.',
    'Turn the barrel until each click moves one gear.',
  ],
  'align-calliper': [
    'Loosen the calliper’s two bolts; pull the brake and hold it.',
    'Tighten both bolts in turn while it is held.',
    'Spin the wheel: nothing rubs, and the brake holds.',
  ],
  'tighten-saddle': ['Set the saddle level and to its mark.', tightenAll],
  'tighten-bar': [
    'Turn the bar to its mark.',
    'Tighten the bolts of its clamp in turn, the gaps alike.',
    'Lean on it hard before you ride.',
  ],
  'change-stem-bolt': [
    'Screw the new bolt in by hand first.',
    'Tighten all bolts of the clamp in turn, the gaps alike.',
    'Lean on the bar hard before you ride.',
  ],
  'cage-bolt-for-stem': [
    'Take a bolt from a bottle cage; hold it beside the old one: thread and length are the same, or leave it.',
    'Screw it in by hand: it must go without force. Tighten gently.',
    'Walk descents; go to a mechanic.',
  ],
  'tension-saddle': [
    'Turn the nut below the nose by half a turn at a time.',
    'Press the middle: it gives a little, no more.',
  ],
  'lace-saddle': ['Lace the cord through the holes of both flaps below the saddle.', 'Pull them together and knot it.'],
  // Lights and suspension
  'change-o-ring': ['Take the old ring off its hook; put the new one on.', 'Pull at the light: it stays.'],
  'tie-light': ['Set the light to its place.', tied, 'See that it does not shine into eyes.'],
  'tape-light': ['Set the light to its place.', bandage],
  'pump-fork': ['Screw the pump on; read what is left.', 'Pump to what the maker’s table says for you and your load.'],
  'pump-fork-by-tyre-pump': [
    'Screw the pump on the fork’s valve.',
    'Pump as far as it goes; the fork will stand low.',
    'Ride gently over bumps.',
  ],
  // Motor
  'change-motor-battery': [
    'Switch it off. Take the empty battery out.',
    'Push the other one in until it clicks, and lock it.',
  ],
  'clean-contacts': [
    'Switch it off and take the battery out.',
    'Wipe the contacts dry and clean; wait some minutes.',
    'Put it back and start anew.',
  ],
  'tighten-cage': ['Screw the bolt in by hand first, then tight.', again],
  'tie-cage': ['Set the cage to its place.', tied],
  'tighten-mudguard': [
    'Set the mudguard clear of the tyre; screw the bolt in, then tight.',
    'Spin the wheel: nothing rubs.',
  ],
  'tie-mudguard': ['Set the mudguard clear of the tyre.', tied, 'Spin the wheel: nothing rubs.'],
  // Bags
  'strap-bag': ['Set the bag to its place and pull the strap tight.', 'Tuck the loose end in, clear of the wheel.'],
  'tie-bag': ['Set the bag to its place.', tied, 'Spin the wheels: nothing reaches them.'],
  'cord-bag': ['Set the bag to its place.', lashed, 'Spin the wheels: nothing reaches them.'],
  'sew-bag': ['Lay the edges over each other.', 'Sew with close stitches, forth and back; knot the end.'],
  'tape-bag': ['Wipe it dry; lay tape over the tear from inside and outside.', 'Press it down hard.'],
  'pin-bag': ['Fold the edges over each other; a pin every two fingers’ breadth.', 'Points away from what is soft.'],
  'squeeze-slider': [
    'Run the slider to the end.',
    'Squeeze its two sides a little with the pliers; try; squeeze again.',
  ],
  'pin-zip': ['Close it by hand; a pin every few fingers’ breadth.'],
  'strap-zip': ['Close it by hand; a strap round the whole bag.'],
  'sew-zip': ['Close it by hand.', 'Sew over the teeth with wide stitches, to be cut again.'],
  // Shoes, camp and skin
  'strap-shoe': ['Pull the strap round shoe and foot, clear of sole and crank.'],
  'cord-shoe': ['Lace the cord through what holes there are, and knot it.', 'Tuck the ends in, clear of the crank.'],
  'tie-shoe': ['Pull the tie round shoe and foot; cut its end off.'],
  'sew-shoe': ['Sew the strap on with double thread, through and through.', 'Knot the end.'],
  'sleeve-pole': ['Press the splinters down; push the sleeve over the break.', 'Tape both ends of it.'],
  'splint-pole': ['Lay a peg along the break.', bandage],
  'patch-mat': [
    'Find the hole with water or by ear, and mark it; dry it.',
    'Clean it; press the patch on as its leaflet says.',
    'Wait before you lie on it.',
  ],
  'tube-patch-mat': [
    'Find the hole with water or by ear, and mark it; dry it.',
    'Roughen it lightly; glue, wait until it is dull, press the patch on hard.',
  ],
  'tape-mat': ['Find the hole, dry it and warm it with the hand.', 'Press tape over it, well past its edges.'],
  'pull-thorn': [
    'Wash your hands and the tweezers.',
    'Pull it the way it went in, slowly.',
    'Clean the place and cover it.',
  ],
  'grip-thorn': [
    'Wash your hands and the pliers.',
    'Pull it the way it went in, slowly.',
    'Clean the place and cover it.',
  ],
  'comb-thorns': [
    'Push the comb under the joint and flick it off.',
    'Take out what is left one by one; clean the place.',
  ],
  // Lube
  'lube-chain': [
    'Wipe the chain with a rag, turning backwards.',
    'A drop on each roller; let it creep in, over night if it can.',
    'Wipe off what is outside.',
  ],
  'drip-chain': ['Knock the worst of the dirt off.', 'A drop on each roller, turning backwards.'],
  'grease-chain': [
    'Rub a little grease along the inside of the chain.',
    'Turn it backwards; wipe off what is outside.',
  ],
}
