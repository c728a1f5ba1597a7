import type { ToolFunction } from '#core/reference'

/** What things do beside turning fasteners: that is said by their heads. */
export const functions: ToolFunction[] = [
  { id: 'lever', name: 'lever a tyre' },
  { id: 'inflate-presta', name: 'pump a Presta valve', pumps: 'presta' },
  { id: 'inflate-schrader', name: 'pump a Schrader valve', pumps: 'schrader' },
  { id: 'burst-presta', name: 'let CO2 into a Presta valve' },
  { id: 'burst-schrader', name: 'let CO2 into a Schrader valve' },
  { id: 'meter-presta', name: 'meter CO2 into a Presta valve' },
  { id: 'meter-schrader', name: 'meter CO2 into a Schrader valve' },
  { id: 'compress-presta', name: 'blow up a Presta valve from a battery' },
  { id: 'compress-schrader', name: 'blow up a Schrader valve from a battery' },
  { id: 'plug-tyre', name: 'push a plug into a tyre' },
  { id: 'grip', name: 'grip with pliers' },
  { id: 'cut-cable', name: 'cut a cable' },
  { id: 'cut', name: 'cut with a blade' },
  { id: 'file', name: 'file' },
  { id: 'sew', name: 'sew heavy cloth' },
  { id: 'wipe', name: 'wipe clean' },
  { id: 'light', name: 'light both hands' },
  { id: 'tweeze', name: 'pull a splinter' },
  { id: 'comb', name: 'comb cactus off' },
  { id: 'pump-shock', name: 'pump a suspension fork' },
  { id: 'charge-shifting', name: 'charge the shifting’s battery' },
]
