import type { ToolFunction } from '../core/reference'

const hex = [2, 2.5, 3, 4, 5, 6, 8].map((size) => ({ id: `hex-${size}`, name: `turn hex ${size} mm` }))
const torx = [10, 25, 30].map((size) => ({ id: `torx-${size}`, name: `turn hexalobular T${size}` }))
const spanners = [8, 10, 15].map((size) => ({ id: `spanner-${size}`, name: `turn a ${size} mm nut` }))
const spokeKeys = [3.2, 3.3, 3.4, 3.9].map((size) => ({ id: `spoke-key-${size}`, name: `turn a ${size} mm nipple` }))

/** What tools do. A folding tool lists its heads one by one. */
export const functions: ToolFunction[] = [
  { id: 'lever', name: 'lever a tyre' },
  { id: 'inflate-presta', name: 'pump a Presta valve' },
  { id: 'inflate-schrader', name: 'pump a Schrader valve' },
  { id: 'burst-presta', name: 'let CO2 into a Presta valve' },
  { id: 'burst-schrader', name: 'let CO2 into a Schrader valve' },
  { id: 'plug-tyre', name: 'push a plug into a tyre' },
  { id: 'core-presta', name: 'turn a Presta core' },
  { id: 'core-schrader', name: 'turn a Schrader core' },
  { id: 'break-chain', name: 'push a chain pin' },
  { id: 'close-link', name: 'open a quick link' },
  ...hex,
  ...torx,
  { id: 'phillips-1', name: 'turn Phillips 1' },
  { id: 'phillips-2', name: 'turn Phillips 2' },
  { id: 'slot-4', name: 'turn a 4 mm slot' },
  ...spanners,
  { id: 'adjustable', name: 'turn nuts to 24 mm' },
  ...spokeKeys,
  { id: 'lockring', name: 'turn a cassette lockring' },
  { id: 'grip', name: 'grip with pliers' },
  { id: 'cut-cable', name: 'cut a cable' },
  { id: 'cut', name: 'cut with a blade' },
  { id: 'file', name: 'file' },
  { id: 'sew', name: 'sew heavy cloth' },
  { id: 'torque', name: 'feel a set torque' },
  { id: 'wipe', name: 'wipe clean' },
  { id: 'light', name: 'light both hands' },
]
