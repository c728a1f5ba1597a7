import { z } from 'zod'
import { fixSchema, type Fix } from '#core/fix'

const tyres = ['puncture', 'tubeless-hole', 'burped-bead']
const brokenSpokes = ['spoke-front-left', 'spoke-front-right', 'spoke-rear-left', 'spoke-rear-drive']
const gas = 'Compressed gas: the cartridge freezes skin and flies off if loosened under pressure; ask your carrier before flying.'

/**
 * How failures are mended, the schools side by side where riders argue.
 * Minutes, grades and how well they hold are planning values; what they need
 * and use is common practice, no source.
 */
const written: z.input<typeof fixSchema>[] = [
  // Flats with a tube
  { id: 'swap-tube', name: 'fit the spare tube, pump', answers: tyres, needs: ['lever', 'inflate-{valve}'], uses: { 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'change-tube', minutes: 15, grade: 'lasting', holds: 0.98 },
  { id: 'swap-tube-gas', name: 'fit the spare tube, CO2', answers: tyres, needs: ['lever', 'burst-{valve}'], uses: { 'tube-{bead}': 1, cartridge: 'to ride' }, turns: ['axle-{wheel}'], technique: 'change-tube', minutes: 11, grade: 'lasting', holds: 0.94, caution: gas },
  { id: 'swap-tube-battery', name: 'fit the spare tube, compressor', answers: tyres, needs: ['lever', 'compress-{valve}'], uses: { 'tube-{bead}': 1, charge: 'to ride' }, turns: ['axle-{wheel}'], technique: 'change-tube', minutes: 14, grade: 'lasting', holds: 0.97 },
  { id: 'patch-tube', name: 'glue a patch, pump', answers: ['puncture'], needs: ['lever', 'inflate-{valve}'], uses: { patch: 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'patch-tube', minutes: 25, grade: 'lasting', holds: 0.95, caution: 'Rubber cement is flammable and its fumes are harmful: no flame, open air.' },
  { id: 'patch-in-place', name: 'glue a patch with the wheel left in, pump', answers: ['puncture'], needs: ['lever', 'inflate-{valve}'], uses: { patch: 1 }, air: 'pump', technique: 'patch-tube', minutes: 32, grade: 'lasting', holds: 0.85, caution: 'Rubber cement is flammable and its fumes are harmful: no flame, open air.' },
  { id: 'patch-tube-gas', name: 'glue a patch, CO2', answers: ['puncture'], needs: ['lever', 'burst-{valve}'], uses: { patch: 1, cartridge: 'to ride' }, turns: ['axle-{wheel}'], technique: 'patch-tube', minutes: 22, grade: 'lasting', holds: 0.88, caution: gas },
  { id: 'stick-patch', name: 'self-stick patch, pump', answers: ['puncture'], needs: ['lever', 'inflate-{valve}'], uses: { 'sticker-patch': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'change-tube', minutes: 18, grade: 'to the next shop', holds: 0.78 },
  // Tubeless
  { id: 'plug-hole', name: 'plug the hole, pump', answers: ['tubeless-hole'], applies: { all: ['tubeless'] }, needs: ['plug-tyre', 'inflate-{valve}'], uses: { plug: 1 }, air: 'pump', technique: 'plug-tubeless', minutes: 8, grade: 'lasting', holds: 0.92 },
  { id: 'plug-hole-gas', name: 'plug the hole, CO2', answers: ['tubeless-hole'], applies: { all: ['tubeless'] }, needs: ['plug-tyre', 'burst-{valve}'], uses: { plug: 1, cartridge: 'to ride' }, technique: 'plug-tubeless', minutes: 6, grade: 'lasting', holds: 0.82, caution: gas },
  { id: 'top-up-hole', name: 'add sealant, pump', answers: ['tubeless-hole'], applies: { all: ['tubeless'] }, needs: ['inflate-{valve}'], uses: { sealant: 'for the tyre' }, turns: ['valve-core'], air: 'pump', technique: 'valve-care', minutes: 12, grade: 'lasting', holds: 0.45 },
  { id: 'seat-gas', name: 'seat the bead with CO2', answers: ['burped-bead'], applies: { all: ['tubeless'] }, needs: ['burst-{valve}'], uses: { cartridge: 'to seat' }, technique: 'seat-bead', minutes: 8, grade: 'lasting', holds: 0.9, caution: gas },
  { id: 'seat-battery', name: 'seat the bead with the compressor', answers: ['burped-bead'], applies: { all: ['tubeless'] }, needs: ['compress-{valve}'], uses: { charge: 'to seat' }, technique: 'seat-bead', minutes: 10, grade: 'lasting', holds: 0.7 },
  { id: 'seat-pump', name: 'seat the bead with the pump', answers: ['burped-bead'], applies: { all: ['tubeless'] }, needs: ['inflate-{valve}'], air: 'pump', technique: 'seat-bead', minutes: 15, grade: 'lasting', holds: 0.55 },
  { id: 'top-up-sealant', name: 'top up sealant', answers: ['sealant-dry'], applies: { all: ['tubeless'] }, needs: ['inflate-{valve}'], uses: { sealant: 'for the tyre' }, turns: ['valve-core'], air: 'pump', technique: 'valve-care', minutes: 12, grade: 'lasting' },
  // Cuts and worn tyres
  { id: 'boot-and-tube', name: 'boot the cut, fit a tube', answers: ['sidewall-cut'], needs: ['lever', 'inflate-{valve}'], uses: { boot: 0.5, 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 25, grade: 'to the next shop', holds: 0.93 },
  { id: 'boot-tubed', name: 'boot the cut, patch the tube', answers: ['sidewall-cut'], applies: { all: ['tubed'] }, needs: ['lever', 'inflate-{valve}'], uses: { boot: 0.5, patch: 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 35, grade: 'to the next shop', holds: 0.9 },
  { id: 'tape-boot', name: 'line the cut with tape, fit a tube', answers: ['sidewall-cut'], needs: ['lever', 'inflate-{valve}'], uses: { tape: 0.4, 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 30, grade: 'to the next shop', holds: 0.65 },
  { id: 'wrapper-boot', name: 'line the cut with a wrapper or a note, fit a tube', answers: ['sidewall-cut'], needs: ['lever', 'inflate-{valve}'], uses: { 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 30, grade: 'to the next shop', holds: 0.5 },
  { id: 'wrapper-tubed', name: 'line the cut with a wrapper or a note, patch the tube', answers: ['sidewall-cut'], applies: { all: ['tubed'] }, needs: ['lever', 'inflate-{valve}'], uses: { patch: 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 40, grade: 'to the next shop', holds: 0.48 },
  { id: 'sew-cut', name: 'sew and glue the cut, fit a tube', answers: ['sidewall-cut'], needs: ['sew', 'lever', 'inflate-{valve}'], uses: { thread: 2, glue: 1, 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'sew-tyre', minutes: 70, grade: 'to the next shop', holds: 0.85, caution: 'Gentle speed only; a sewn tyre may open again.' },
  { id: 'spare-tyre', name: 'fit the spare tyre', answers: ['sidewall-cut', 'tread-worn'], needs: ['lever', 'inflate-{valve}'], uses: { 'tyre-{bead}': 1, 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'change-tube', minutes: 25, grade: 'lasting' },
  // Worn through is not cut: the casing wears on beside what lines it.
  { id: 'boot-worn', name: 'boot the worn spot', answers: ['tread-worn'], needs: ['lever', 'inflate-{valve}'], uses: { boot: 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 20, grade: 'to the next shop', holds: 0.7, lastsKm: 150 },
  { id: 'tape-worn', name: 'line the worn spot with tape, fit a tube', answers: ['tread-worn'], needs: ['lever', 'inflate-{valve}'], uses: { tape: 0.4, 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'boot-tyre', minutes: 30, grade: 'to the next shop', holds: 0.65, lastsKm: 60 },
  // Valves
  { id: 'change-core', name: 'fit a new core', answers: ['valve-core'], needs: ['inflate-{valve}'], uses: { 'valve-core-{valve}': 1 }, turns: ['valve-core'], air: 'pump', technique: 'valve-care', minutes: 6, grade: 'lasting' },
  { id: 'clear-core', name: 'clean and straighten the core', answers: ['valve-core'], needs: ['inflate-{valve}'], turns: ['valve-core'], air: 'pump', technique: 'valve-care', minutes: 12, grade: 'to the next shop', holds: 0.75 },
  { id: 'tube-for-core', name: 'fit a tube instead', answers: ['valve-core'], needs: ['lever', 'inflate-{valve}'], uses: { 'tube-{bead}': 1 }, turns: ['axle-{wheel}'], air: 'pump', technique: 'change-tube', minutes: 20, grade: 'lasting' },
  { id: 'change-valve', name: 'fit a new tubeless valve', answers: ['valve-torn'], applies: { all: ['tubeless'] }, needs: ['lever', 'inflate-{valve}'], uses: { 'tubeless-valve': 1 }, air: 'pump', turns: ['axle-{wheel}'], technique: 'seat-bead', minutes: 30, grade: 'lasting', holds: 0.7 },
  { id: 'tube-for-valve', name: 'fit a tube instead', answers: ['valve-torn'], needs: ['lever', 'inflate-{valve}'], uses: { 'tube-{bead}': 1 }, air: 'pump', turns: ['axle-{wheel}'], technique: 'change-tube', minutes: 25, grade: 'lasting' },
  // Chain
  { id: 'link-chain', name: 'join with a quick link', answers: ['chain-broken'], uses: { 'quick-link-{speeds}': 1 }, cutsLinks: 2, turns: ['chain-pin'], technique: 'join-chain', minutes: 12, grade: 'lasting', holds: 0.97 },
  // The link of the first joint is opened and used again, so that a piece takes one link more and not two.
  { id: 'piece-chain', name: 'let in a piece of chain', answers: ['chain-broken'], uses: { 'quick-link-{speeds}': 1, 'chain-piece-{speeds}': 1 }, turns: ['chain-pin'], technique: 'join-chain', minutes: 18, grade: 'lasting', holds: 0.99 },
  { id: 'pin-chain', name: 'drive the old pin back in', answers: ['chain-broken'], turns: ['chain-pin'], technique: 'join-chain', minutes: 25, grade: 'to the next shop', holds: 0.35 },
  { id: 'new-chain', name: 'fit the spare chain', answers: ['chain-broken', 'chain-worn'], uses: { 'chain-{speeds}': 1, 'quick-link-{speeds}': 1 }, turns: ['chain-pin'], technique: 'join-chain', minutes: 20, grade: 'lasting' },
  // Gears
  { id: 'change-hanger', name: 'fit the spare hanger', answers: ['hanger-bent', 'hanger-sheared'], uses: { 'hanger-{hanger}': 1 }, turns: ['hanger-bolt', 'derailleur-bolt'], technique: 'change-hanger', minutes: 20, grade: 'lasting', holds: 0.97 },
  { id: 'bend-hanger', name: 'bend the hanger back', answers: ['hanger-bent'], technique: 'straighten', minutes: 10, grade: 'to the next shop', holds: 0.8, caution: 'A hanger bent twice may break.' },
  { id: 'single-speed', name: 'shorten to a single speed', answers: ['hanger-sheared', 'derailleur-torn', 'pulley-bolt'], applies: { all: ['derailleur', 'can-be-single-speed'], none: ['rear-suspension'] }, uses: { 'quick-link-{speeds}': 1 }, turns: ['chain-pin', 'derailleur-bolt'], technique: 'make-single-speed', minutes: 45, grade: 'to the next shop', holds: 0.8 },
  { id: 'change-pulley-bolt', name: 'fit pulley and bolt', answers: ['pulley-bolt'], uses: { 'pulley-bolt': 1 }, turns: ['pulley-bolt'], technique: 'tighten', minutes: 15, grade: 'lasting' },
  { id: 'wire-pulley', name: 'hold the pulley with wire', answers: ['pulley-bolt'], needs: ['grip'], uses: { wire: 0.3 }, technique: 'lash', minutes: 25, grade: 'to the next shop', holds: 0.5 },
  { id: 'change-shift-cable', name: 'fit a new shift cable', answers: ['shift-cable', 'cable-frayed'], needs: ['cut-cable'], uses: { 'shift-cable': 1 }, turns: ['shift-anchor'], technique: 'change-shift-cable', minutes: 30, grade: 'lasting' },
  { id: 'coil-shift-cable', name: 'fit a new cable, coil the end', answers: ['shift-cable', 'cable-frayed'], uses: { 'shift-cable': 1, tape: 0.1 }, turns: ['shift-anchor'], technique: 'change-shift-cable', minutes: 35, grade: 'lasting', holds: 0.9 },
  { id: 'fix-gear', name: 'screw the stop in to a middle gear', answers: ['shift-cable', 'cable-frayed'], turns: ['limit-screw'], technique: 'ride-gently', minutes: 8, grade: 'to the next shop', holds: 0.75 },
  // Brakes
  { id: 'change-brake-cable', name: 'fit a new brake cable', answers: ['brake-cable'], needs: ['cut-cable'], uses: { 'brake-cable': 1 }, turns: ['brake-anchor'], technique: 'change-brake-cable', minutes: 25, grade: 'lasting', caution: 'Pull the lever hard ten times before riding; have a mechanic look at it.' },
  { id: 'one-brake', name: 'ride on the other brake, walk descents', answers: ['brake-cable', 'hydraulic-down'], technique: 'ride-gently', minutes: 2, grade: 'walking pace', caution: 'Walk every steep descent.' },
  { id: 'change-pads', name: 'fit new pads', answers: ['pads-worn'], uses: { 'brake-pads-{pad}': 1 }, turns: ['pad-pin'], technique: 'change-pads', minutes: 15, grade: 'lasting', caution: 'New pads must be bedded in before a descent.' },
  { id: 'swap-pads', name: 'move the better pads to the front', answers: ['pads-worn'], turns: ['pad-pin'], technique: 'change-pads', minutes: 20, grade: 'walking pace', holds: 0.8, caution: 'Walk every steep descent.' },
  { id: 'bend-rotor', name: 'straighten the rotor by hand', answers: ['rotor-bent'], needs: ['wipe'], technique: 'straighten', minutes: 15, grade: 'to the next shop', holds: 0.85, caution: 'Let it cool; keep oil off it.' },
  { id: 'bend-rotor-grip', name: 'straighten the rotor with pliers', answers: ['rotor-bent'], needs: ['grip', 'wipe'], technique: 'straighten', minutes: 12, grade: 'lasting', holds: 0.9, caution: 'Let it cool; keep oil off it.' },
  { id: 'change-rotor-bolt', name: 'fit a rotor bolt', answers: ['rotor-bolt'], uses: { 'rotor-bolt': 1 }, turns: ['rotor-bolt'], technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'check-rotor-bolts', name: 'tighten the remaining rotor bolts', answers: ['rotor-bolt'], turns: ['rotor-bolt'], technique: 'tighten', minutes: 5, grade: 'to the next shop', holds: 0.85 },
  // Wheels
  { id: 'change-front-left-spoke', name: 'fit a measured spoke', answers: ['spoke-front-left'], needs: ['lever', 'inflate-{valve}'], uses: { 'spoke-{spokeFrontLeft}': 1 }, turns: ['nipple-front', 'axle-front'], air: 'pump', technique: 'change-spoke', minutes: 40, grade: 'lasting' },
  { id: 'change-front-right-spoke', name: 'fit a measured spoke', answers: ['spoke-front-right'], needs: ['lever', 'inflate-{valve}'], uses: { 'spoke-{spokeFrontRight}': 1 }, turns: ['nipple-front', 'axle-front'], air: 'pump', technique: 'change-spoke', minutes: 40, grade: 'lasting' },
  { id: 'change-left-spoke', name: 'fit a measured spoke', answers: ['spoke-rear-left'], needs: ['lever', 'inflate-{valve}'], uses: { 'spoke-{spokeRearLeft}': 1 }, turns: ['nipple-rear', 'axle-rear'], air: 'pump', technique: 'change-spoke', minutes: 40, grade: 'lasting' },
  { id: 'change-drive-spoke', name: 'take the cassette off, fit a measured spoke', answers: ['spoke-rear-drive'], applies: { none: ['free-drive-side'] }, needs: ['lever', 'inflate-{valve}'], uses: { 'spoke-{spokeRearDrive}': 1 }, turns: ['lockring', 'nipple-rear', 'axle-rear'], air: 'pump', technique: 'change-drive-spoke', minutes: 60, grade: 'lasting' },
  { id: 'change-free-drive-spoke', name: 'fit a measured spoke', answers: ['spoke-rear-drive'], applies: { all: ['free-drive-side'] }, needs: ['lever', 'inflate-{valve}'], uses: { 'spoke-{spokeRearDrive}': 1 }, air: 'pump', turns: ['nipple-rear', 'axle-rear'], technique: 'change-spoke', minutes: 40, grade: 'lasting' },
  { id: 'fibre-spoke', name: 'tie in a fibre spoke', answers: brokenSpokes, uses: { 'fibre-spoke': 1 }, turns: ['nipple-{wheel}'], technique: 'change-spoke', minutes: 30, grade: 'to the next shop', holds: 0.95 },
  { id: 'true-without', name: 'true the wheel around the missing spoke', answers: brokenSpokes, turns: ['nipple-{wheel}'], technique: 'true-wheel', minutes: 20, grade: 'to the next shop', holds: 0.85 },
  { id: 'true-wheel', name: 'true the wheel', answers: ['wheel-out-of-true'], turns: ['nipple-{wheel}'], technique: 'true-wheel', minutes: 25, grade: 'lasting', holds: 0.95 },
  // Bolts
  { id: 'change-rack-bolt', name: 'fit an M5 bolt', answers: ['rack-bolt'], uses: { 'rack-bolt': 1 }, turns: ['rack-bolt'], technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'tie-rack', name: 'lash the rack with ties', answers: ['rack-bolt'], uses: { 'zip-tie': 3 }, technique: 'lash', minutes: 10, grade: 'to the next shop', holds: 0.88 },
  { id: 'wire-rack', name: 'bind the rack with wire', answers: ['rack-bolt'], needs: ['grip'], uses: { wire: 0.5 }, technique: 'lash', minutes: 15, grade: 'to the next shop', holds: 0.85 },
  { id: 'change-cleat-bolt', name: 'fit a cleat bolt', answers: ['cleat-bolt'], uses: { 'cleat-bolt': 1 }, turns: ['cleat-bolt'], technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'change-cleat', name: 'fit the spare cleat', answers: ['cleat-lost'], uses: { 'cleat-{cleat}': 1, 'cleat-bolt': 2 }, turns: ['cleat-bolt'], technique: 'tighten', minutes: 10, grade: 'lasting' },
  { id: 'change-seat-bolt', name: 'fit a seat-clamp bolt', answers: ['seat-clamp'], uses: { 'seat-bolt': 1 }, turns: ['seat-clamp'], technique: 'tighten', minutes: 8, grade: 'lasting', caution: 'Carbon wants a torque key.' },
  { id: 'tape-seat', name: 'wedge and tape the post, ride low', answers: ['seat-clamp'], uses: { tape: 0.6, 'zip-tie': 2 }, technique: 'lash', minutes: 15, grade: 'walking pace', holds: 0.6 },
  { id: 'tighten-crank', name: 'tighten the crank', answers: ['crank-loose'], turns: ['crank-bolt'], technique: 'tighten', minutes: 8, grade: 'to the next shop', holds: 0.9, caution: 'Ridden loose a crank is soon ruined; check it again every hour.' },
  { id: 'tighten-stem', name: 'tighten stem and headset', answers: ['stem-loose'], turns: ['stem', 'headset'], technique: 'tighten', minutes: 8, grade: 'to the next shop', holds: 0.9, caution: 'Steering: carbon wants a torque key and the maker’s value; have it looked at.' },
  { id: 'torque-stem', name: 'tighten stem and headset to torque', answers: ['stem-loose'], turns: ['headset'], torques: ['stem'], technique: 'tighten', minutes: 10, grade: 'lasting', holds: 0.95 },
  { id: 'tighten-headset-nut', name: 'tighten the headset’s nut', answers: ['headset-loose'], turns: ['headset-nut'], technique: 'tighten', minutes: 15, grade: 'lasting', holds: 0.9 },
  { id: 'headset-by-hand', name: 'screw the headset down by hand', answers: ['headset-loose'], technique: 'tighten', minutes: 10, grade: 'to the next shop', holds: 0.5, caution: 'Steering: ride gently, and have it looked at.' },
  { id: 'tighten-pedal', name: 'tighten the pedal', answers: ['pedal-loose'], turns: ['pedal'], technique: 'tighten', minutes: 5, grade: 'lasting', holds: 0.95 },
  { id: 'tighten-hinge', name: 'tighten the hinge', answers: ['hinge-loose'], turns: ['hinge'], technique: 'tighten', minutes: 8, grade: 'to the next shop', holds: 0.9, caution: 'A hinge that opens throws one off: check its catch before every start, and have a mechanic look at it.' },
  { id: 'tighten-chainring', name: 'tighten the chainring bolts', answers: ['chainring-bolt'], turns: ['chainring-bolt'], technique: 'tighten', minutes: 12, grade: 'to the next shop', holds: 0.85 },
  { id: 'tighten-pivot', name: 'tighten the pivots', answers: ['pivot-loose'], turns: ['pivot'], technique: 'tighten', minutes: 12, grade: 'to the next shop', holds: 0.9 },
  { id: 'tune-by-hand', name: 'tune the shifting at its barrel', answers: ['indexing-out'], technique: 'tighten', minutes: 5, grade: 'to the next shop', holds: 0.7 },
  { id: 'clamp-cable-anew', name: 'clamp the shift cable anew and tune it', answers: ['indexing-out'], turns: ['shift-anchor'], technique: 'change-shift-cable', minutes: 12, grade: 'lasting', holds: 0.95 },
  { id: 'align-calliper', name: 'align the calliper', answers: ['calliper-rubs'], turns: ['calliper'], technique: 'tighten', minutes: 8, grade: 'lasting', holds: 0.92, caution: 'Try the brake before riding on.' },
  { id: 'tighten-saddle', name: 'set the saddle and tighten it', answers: ['saddle-slips'], turns: ['saddle'], technique: 'tighten', minutes: 6, grade: 'lasting', holds: 0.95, caution: 'Carbon wants a torque key.' },
  { id: 'tighten-bar', name: 'set the bar and tighten its clamp', answers: ['bar-slips'], turns: ['stem'], technique: 'tighten', minutes: 6, grade: 'to the next shop', holds: 0.92, caution: 'Steering: carbon wants a torque key and the maker’s value; have it looked at.' },
  { id: 'tighten-cage', name: 'tighten or replace the cage bolt', answers: ['cage-bolt'], uses: { 'rack-bolt': 1 }, turns: ['cage-bolt'], technique: 'tighten', minutes: 5, grade: 'lasting' },
  { id: 'tie-cage', name: 'tie the cage on', answers: ['cage-bolt'], uses: { 'zip-tie': 2 }, technique: 'lash', minutes: 5, grade: 'to the next shop', holds: 0.85 },
  { id: 'tighten-mudguard', name: 'fit a mudguard bolt', answers: ['mudguard-bolt'], uses: { 'rack-bolt': 1 }, turns: ['mudguard-bolt'], technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'tie-mudguard', name: 'tie the mudguard clear of the wheel', answers: ['mudguard-bolt'], uses: { 'zip-tie': 2 }, technique: 'lash', minutes: 6, grade: 'to the next shop', holds: 0.85 },
  // Bags
  { id: 'strap-bag', name: 'strap the bag on', answers: ['bag-strap'], uses: { strap: 1 }, technique: 'lash', minutes: 5, grade: 'lasting' },
  { id: 'tie-bag', name: 'tie the bag on', answers: ['bag-strap'], uses: { 'zip-tie': 2 }, technique: 'lash', minutes: 6, grade: 'to the next shop', holds: 0.8 },
  { id: 'sew-bag', name: 'sew the bag', answers: ['bag-strap', 'bag-torn'], needs: ['sew'], uses: { thread: 1.5 }, technique: 'sew-tyre', minutes: 40, grade: 'lasting' },
  { id: 'tape-bag', name: 'tape the tear', answers: ['bag-torn'], uses: { tape: 0.5 }, technique: 'lash', minutes: 8, grade: 'to the next shop', holds: 0.8 },
  // Lube
  { id: 'lube-chain', name: 'wipe and lube the chain', answers: ['chain-dry'], needs: ['wipe'], uses: { lube: 3 }, technique: 'lube-chain', minutes: 5, grade: 'lasting' },
  { id: 'drip-chain', name: 'lube the dirty chain', answers: ['chain-dry'], uses: { lube: 4 }, technique: 'lube-chain', minutes: 3, grade: 'to the next shop' },
]

export const fixes: Fix[] = z.array(fixSchema).parse(written)
