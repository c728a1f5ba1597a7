import { z } from 'zod'
import { fixSchema, type Fix } from '../core/fix'

const tyres = ['puncture', 'tubeless-hole', 'burped-bead']
const gas = 'Compressed gas: the cartridge freezes skin and flies off if loosened under pressure; ask your carrier before flying.'

/**
 * How failures are mended, the schools side by side where riders argue.
 * Minutes, grades and how well they hold are planning values; what they need
 * and use is common practice, no source.
 */
const written: z.input<typeof fixSchema>[] = [
  // Flats with a tube
  { id: 'swap-tube', name: 'fit the spare tube, pump', answers: tyres, needs: ['lever', 'inflate-{valve}'], uses: { 'tube-{bead}': 1 }, technique: 'change-tube', minutes: 15, grade: 'lasting', holds: 0.98 },
  { id: 'swap-tube-gas', name: 'fit the spare tube, CO2', answers: tyres, needs: ['lever', 'burst-{valve}'], uses: { 'tube-{bead}': 1, cartridge: 1 }, technique: 'change-tube', minutes: 11, grade: 'lasting', holds: 0.94, caution: gas },
  { id: 'patch-tube', name: 'glue a patch, pump', answers: ['puncture'], needs: ['lever', 'inflate-{valve}'], uses: { patch: 1 }, technique: 'patch-tube', minutes: 25, grade: 'lasting', holds: 0.92, caution: 'Rubber cement is flammable and its fumes are harmful: no flame, open air.' },
  { id: 'patch-tube-gas', name: 'glue a patch, CO2', answers: ['puncture'], needs: ['lever', 'burst-{valve}'], uses: { patch: 1, cartridge: 1 }, technique: 'patch-tube', minutes: 22, grade: 'lasting', holds: 0.88, caution: gas },
  { id: 'stick-patch', name: 'self-stick patch, pump', answers: ['puncture'], needs: ['lever', 'inflate-{valve}'], uses: { 'sticker-patch': 1 }, technique: 'change-tube', minutes: 18, grade: 'to the next shop', holds: 0.78 },
  // Tubeless
  { id: 'plug-hole', name: 'plug the hole, pump', answers: ['tubeless-hole'], applies: { all: ['tubeless'] }, needs: ['plug-tyre', 'inflate-{valve}'], uses: { plug: 1 }, technique: 'plug-tubeless', minutes: 8, grade: 'lasting', holds: 0.85 },
  { id: 'plug-hole-gas', name: 'plug the hole, CO2', answers: ['tubeless-hole'], applies: { all: ['tubeless'] }, needs: ['plug-tyre', 'burst-{valve}'], uses: { plug: 1, cartridge: 1 }, technique: 'plug-tubeless', minutes: 6, grade: 'lasting', holds: 0.82, caution: gas },
  { id: 'top-up-hole', name: 'add sealant, pump', answers: ['tubeless-hole'], applies: { all: ['tubeless'] }, needs: ['core-{valve}', 'inflate-{valve}'], uses: { sealant: 40 }, technique: 'valve-care', minutes: 12, grade: 'lasting', holds: 0.45 },
  { id: 'seat-gas', name: 'seat the bead with CO2', answers: ['burped-bead'], applies: { all: ['tubeless'] }, needs: ['burst-{valve}'], uses: { cartridge: 1 }, technique: 'seat-bead', minutes: 8, grade: 'lasting', holds: 0.9, caution: gas },
  { id: 'seat-pump', name: 'seat the bead with the pump', answers: ['burped-bead'], applies: { all: ['tubeless'] }, needs: ['inflate-{valve}'], technique: 'seat-bead', minutes: 15, grade: 'lasting', holds: 0.4 },
  { id: 'top-up-sealant', name: 'top up sealant', answers: ['sealant-dry'], applies: { all: ['tubeless'] }, needs: ['core-{valve}', 'inflate-{valve}'], uses: { sealant: 60 }, technique: 'valve-care', minutes: 12, grade: 'lasting' },
  // Cuts and worn tyres
  { id: 'boot-and-tube', name: 'boot the cut, fit a tube', answers: ['sidewall-cut'], needs: ['lever', 'inflate-{valve}'], uses: { boot: 1, 'tube-{bead}': 1 }, technique: 'boot-tyre', minutes: 25, grade: 'to the next shop', holds: 0.85 },
  { id: 'boot-tubed', name: 'boot the cut, patch the tube', answers: ['sidewall-cut'], applies: { all: ['tubed'] }, needs: ['lever', 'inflate-{valve}'], uses: { boot: 1, patch: 1 }, technique: 'boot-tyre', minutes: 35, grade: 'to the next shop', holds: 0.8 },
  { id: 'tape-boot', name: 'line the cut with tape, fit a tube', answers: ['sidewall-cut', 'tread-worn'], needs: ['lever', 'inflate-{valve}'], uses: { tape: 0.4, 'tube-{bead}': 1 }, technique: 'boot-tyre', minutes: 30, grade: 'to the next shop', holds: 0.5 },
  { id: 'sew-cut', name: 'sew and glue the cut, fit a tube', answers: ['sidewall-cut'], needs: ['sew', 'lever', 'inflate-{valve}'], uses: { thread: 2, glue: 1, 'tube-{bead}': 1 }, technique: 'sew-tyre', minutes: 70, grade: 'to the next shop', holds: 0.85, caution: 'Gentle speed only; a sewn tyre may open again.' },
  { id: 'spare-tyre', name: 'fit the spare tyre', answers: ['sidewall-cut', 'tread-worn'], needs: ['lever', 'inflate-{valve}'], uses: { 'tyre-{bead}': 1, 'tube-{bead}': 1 }, technique: 'change-tube', minutes: 25, grade: 'lasting' },
  { id: 'boot-worn', name: 'boot the worn spot', answers: ['tread-worn'], needs: ['lever', 'inflate-{valve}'], uses: { boot: 1 }, technique: 'boot-tyre', minutes: 20, grade: 'to the next shop', holds: 0.7 },
  // Valves
  { id: 'change-core', name: 'fit a new core', answers: ['valve-core'], needs: ['core-{valve}', 'inflate-{valve}'], uses: { 'valve-core-{valve}': 1 }, technique: 'valve-care', minutes: 6, grade: 'lasting' },
  { id: 'clear-core', name: 'clean and straighten the core', answers: ['valve-core'], needs: ['core-{valve}', 'inflate-{valve}'], technique: 'valve-care', minutes: 12, grade: 'to the next shop', holds: 0.6 },
  { id: 'tube-for-core', name: 'fit a tube instead', answers: ['valve-core'], needs: ['lever', 'inflate-{valve}'], uses: { 'tube-{bead}': 1 }, technique: 'change-tube', minutes: 20, grade: 'lasting' },
  // Chain
  { id: 'link-chain', name: 'join with a quick link', answers: ['chain-broken'], needs: ['break-chain'], uses: { 'quick-link-{speeds}': 1 }, technique: 'join-chain', minutes: 12, grade: 'lasting', holds: 0.97 },
  { id: 'piece-chain', name: 'let in a piece of chain', answers: ['chain-broken'], needs: ['break-chain'], uses: { 'quick-link-{speeds}': 2, 'chain-piece-{speeds}': 1 }, technique: 'join-chain', minutes: 18, grade: 'lasting', holds: 0.99 },
  { id: 'pin-chain', name: 'drive the old pin back in', answers: ['chain-broken'], needs: ['break-chain'], technique: 'join-chain', minutes: 25, grade: 'to the next shop', holds: 0.35 },
  { id: 'new-chain', name: 'fit the spare chain', answers: ['chain-broken', 'chain-worn'], needs: ['break-chain'], uses: { 'chain-{speeds}': 1, 'quick-link-{speeds}': 1 }, technique: 'join-chain', minutes: 20, grade: 'lasting' },
  // Gears
  { id: 'change-hanger', name: 'fit the spare hanger', answers: ['hanger-bent', 'hanger-sheared'], needs: ['hex-4', 'hex-5'], uses: { 'hanger-{hanger}': 1 }, technique: 'change-hanger', minutes: 20, grade: 'lasting', holds: 0.97 },
  { id: 'bend-hanger', name: 'bend the hanger back', answers: ['hanger-bent'], technique: 'straighten', minutes: 10, grade: 'to the next shop', holds: 0.6, caution: 'A hanger bent twice may break.' },
  { id: 'single-speed', name: 'shorten to a single speed', answers: ['hanger-sheared', 'derailleur-torn', 'pulley-bolt'], applies: { all: ['derailleur'], none: ['rear-suspension'] }, needs: ['break-chain', 'hex-5'], uses: { 'quick-link-{speeds}': 1 }, technique: 'make-single-speed', minutes: 45, grade: 'to the next shop', holds: 0.8 },
  { id: 'change-pulley-bolt', name: 'fit pulley and bolt', answers: ['pulley-bolt'], needs: ['hex-3'], uses: { 'pulley-bolt': 1 }, technique: 'tighten', minutes: 15, grade: 'lasting' },
  { id: 'wire-pulley', name: 'hold the pulley with wire', answers: ['pulley-bolt'], needs: ['grip'], uses: { wire: 0.3 }, technique: 'lash', minutes: 25, grade: 'to the next shop', holds: 0.5 },
  { id: 'change-shift-cable', name: 'fit a new shift cable', answers: ['shift-cable'], needs: ['hex-5', 'cut-cable'], uses: { 'shift-cable': 1 }, technique: 'change-shift-cable', minutes: 30, grade: 'lasting' },
  { id: 'coil-shift-cable', name: 'fit a new cable, coil the end', answers: ['shift-cable'], needs: ['hex-5'], uses: { 'shift-cable': 1, tape: 0.1 }, technique: 'change-shift-cable', minutes: 35, grade: 'lasting', holds: 0.9 },
  { id: 'fix-gear', name: 'screw the stop in to a middle gear', answers: ['shift-cable'], needs: ['phillips-2'], technique: 'ride-gently', minutes: 8, grade: 'to the next shop', holds: 0.75 },
  // Brakes
  { id: 'change-brake-cable', name: 'fit a new brake cable', answers: ['brake-cable'], needs: ['hex-5', 'cut-cable'], uses: { 'brake-cable': 1 }, technique: 'change-brake-cable', minutes: 25, grade: 'lasting', caution: 'Pull the lever hard ten times before riding; have a mechanic look at it.' },
  { id: 'one-brake', name: 'ride on the other brake, walk descents', answers: ['brake-cable', 'hydraulic-down'], technique: 'ride-gently', minutes: 2, grade: 'walking pace', caution: 'Walk every steep descent.' },
  { id: 'change-pads', name: 'fit new pads', answers: ['pads-worn'], needs: ['hex-3'], uses: { 'brake-pads-{pad}': 1 }, technique: 'change-pads', minutes: 15, grade: 'lasting', caution: 'New pads must be bedded in before a descent.' },
  { id: 'swap-pads', name: 'move the better pads to the front', answers: ['pads-worn'], needs: ['hex-3'], technique: 'change-pads', minutes: 20, grade: 'walking pace', holds: 0.8, caution: 'Walk every steep descent.' },
  { id: 'bend-rotor', name: 'straighten the rotor by hand', answers: ['rotor-bent'], needs: ['wipe'], technique: 'straighten', minutes: 15, grade: 'to the next shop', holds: 0.85, caution: 'Let it cool; keep oil off it.' },
  { id: 'bend-rotor-grip', name: 'straighten the rotor with pliers', answers: ['rotor-bent'], needs: ['grip', 'wipe'], technique: 'straighten', minutes: 12, grade: 'lasting', holds: 0.9, caution: 'Let it cool; keep oil off it.' },
  { id: 'change-rotor-bolt', name: 'fit a rotor bolt', answers: ['rotor-bolt'], needs: ['torx-25'], uses: { 'rotor-bolt': 1 }, technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'check-rotor-bolts', name: 'tighten the remaining rotor bolts', answers: ['rotor-bolt'], needs: ['torx-25'], technique: 'tighten', minutes: 5, grade: 'to the next shop', holds: 0.85 },
  // Wheels
  { id: 'change-front-spoke', name: 'fit a measured spoke', answers: ['spoke-front'], needs: ['lever', 'inflate-{valve}', 'spoke-key-{nipple}'], uses: { 'spoke-{spokeFront}': 1 }, technique: 'change-spoke', minutes: 40, grade: 'lasting' },
  { id: 'change-left-spoke', name: 'fit a measured spoke', answers: ['spoke-rear-left'], needs: ['lever', 'inflate-{valve}', 'spoke-key-{nipple}'], uses: { 'spoke-{spokeRearLeft}': 1 }, technique: 'change-spoke', minutes: 40, grade: 'lasting' },
  { id: 'change-drive-spoke', name: 'take the cassette off, fit a measured spoke', answers: ['spoke-rear-drive'], needs: ['lockring', 'lever', 'inflate-{valve}', 'spoke-key-{nipple}'], uses: { 'spoke-{spokeRearDrive}': 1 }, technique: 'change-drive-spoke', minutes: 60, grade: 'lasting' },
  { id: 'fibre-spoke', name: 'tie in a fibre spoke', answers: ['spoke-front', 'spoke-rear-left', 'spoke-rear-drive'], needs: ['spoke-key-{nipple}'], uses: { 'fibre-spoke': 1 }, technique: 'change-spoke', minutes: 30, grade: 'to the next shop', holds: 0.9 },
  { id: 'true-without', name: 'true the wheel around the missing spoke', answers: ['spoke-front', 'spoke-rear-left', 'spoke-rear-drive'], needs: ['spoke-key-{nipple}'], technique: 'true-wheel', minutes: 20, grade: 'to the next shop', holds: 0.65 },
  { id: 'true-wheel', name: 'true the wheel', answers: ['wheel-out-of-true'], needs: ['spoke-key-{nipple}'], technique: 'true-wheel', minutes: 25, grade: 'lasting', holds: 0.95 },
  // Bolts
  { id: 'change-rack-bolt', name: 'fit an M5 bolt', answers: ['rack-bolt'], needs: ['hex-4'], uses: { 'rack-bolt': 1 }, technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'tie-rack', name: 'lash the rack with ties', answers: ['rack-bolt'], uses: { 'zip-tie': 3 }, technique: 'lash', minutes: 10, grade: 'to the next shop', holds: 0.75 },
  { id: 'wire-rack', name: 'bind the rack with wire', answers: ['rack-bolt'], needs: ['grip'], uses: { wire: 0.5 }, technique: 'lash', minutes: 15, grade: 'to the next shop', holds: 0.85 },
  { id: 'change-cleat-bolt', name: 'fit a cleat bolt', answers: ['cleat-bolt'], needs: ['hex-4'], uses: { 'cleat-bolt': 1 }, technique: 'tighten', minutes: 8, grade: 'lasting' },
  { id: 'change-seat-bolt', name: 'fit a seat-clamp bolt', answers: ['seat-clamp'], needs: ['hex-5'], uses: { 'seat-bolt': 1 }, technique: 'tighten', minutes: 8, grade: 'lasting', caution: 'Carbon wants a torque key.' },
  { id: 'tape-seat', name: 'wedge and tape the post, ride low', answers: ['seat-clamp'], uses: { tape: 0.6, 'zip-tie': 2 }, technique: 'lash', minutes: 15, grade: 'walking pace', holds: 0.6 },
  { id: 'tighten-bolt', name: 'tighten it', answers: ['loose-bolt'], needs: ['hex-5', 'hex-8'], technique: 'tighten', minutes: 8, grade: 'to the next shop', holds: 0.9, caution: 'A short lever gives no torque worth the name on a crank bolt; check it again every hour.' },
  { id: 'torque-bolt', name: 'tighten it to torque', answers: ['loose-bolt'], needs: ['torque', 'hex-5', 'hex-8'], technique: 'tighten', minutes: 10, grade: 'lasting', holds: 0.95 },
  { id: 'tighten-stem', name: 'tighten stem and headset', answers: ['loose-bolt'], needs: ['hex-4', 'hex-5'], technique: 'tighten', minutes: 8, grade: 'to the next shop', holds: 0.6 },
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
