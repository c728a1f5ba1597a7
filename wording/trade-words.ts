/**
 * Words of bikes, tools and roads that stand on the screens and in no list of everyday words: whoever rides into the remote
 * knows them. What nobody can know beforehand is explained instead (`glossary.ts`).
 */
export const tradeWords = [
  ...['calliper', 'chainring', 'chainrings', 'chainstay', 'derailleur', 'dropper', 'flange', 'freewheel', 'handlepost'],
  ...[
    'headset',
    'hookless',
    'lockring',
    'mudguard',
    'mudguards',
    'pannier',
    'panniers',
    'shifter',
    'sidewall',
    'sidewalls',
    'sprocket',
    'sprockets',
    'steerer',
    'steerers',
    'tensioned',
  ],
  ...['tensioner', 'tensioners', 'tourer', 'tubeless', 'tyred', 'wheelbase'],
  ...[
    'breaker',
    'compressor',
    'hex',
    'hexalobular',
    'phillips',
    'pozidriv',
    'preload',
    'presta',
    'ratchet',
    'schrader',
    'spline',
  ],
  ...['decanted', 'lube', 'lubed', 'regulator', 'sealant', 'sintered', 'tare', 'torques', 'waypoint', 'waypoints'],
] as const

/** Short for something: units, winds, days, keys, kinds of file, and bodies that publish standards. */
export const shortWords = [
  ...['cm', 'fl', 'ft', 'km', 'lb', 'max', 'mb', 'mi', 'min', 'mm', 'mol', 'mph', 'oz', 'utc', 'wh', 'co', 'cos', 'ln'],
  ...['ene', 'ese', 'ne', 'nne', 'nnw', 'nw', 'se', 'sse', 'ssw', 'sw', 'wnw', 'wsw'],
  ...['fr', 'fri', 'mo', 'mon', 'sa', 'su', 'th', 'thu', 'tu', 'tue'],
  ...['ctrl', 'esc', 'ph', 'doctype', 'ele', 'gpx', 'csv', 'json', 'trkseg', 'xml', 'cfr', 'codata', 'iso', 'eur'],
] as const

/** Plain, and yet missing in lists of everyday words. */
export const plainWords = [
  ...['browser', 'demo', 'mini', 'mistyped', 'slider', 'unmended', 'unpin', 'untried', 'waterline'],
  ...['january', 'february', 'april', 'june', 'july', 'september', 'october', 'november', 'december', 'monday'],
] as const
