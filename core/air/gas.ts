/** J/(mol·K). Source: CODATA 2018, exact since the 2019 revision of the SI. */
export const gasConstant = 8.314462618
/** g/mol of carbon dioxide. Source: IUPAC standard atomic weights, C 12.0107 and O 15.9994. */
export const carbonDioxideGPerMol = 44.0095
const zeroCelsiusK = 273.15
const pascalPerBar = 100_000

/** Bar that a gram of carbon dioxide adds to a litre, as an ideal gas: R·T/(M·V). */
const barPerGramInLitre = (celsius: number) =>
  (gasConstant * (celsius + zeroCelsiusK)) / carbonDioxideGPerMol / 0.001 / pascalPerBar

/**
 * Gauge pressure that so much carbon dioxide gives a tyre that was flat, bar, as an ideal gas.
 *
 * p = (m / M) · R · T / V. Under 5 bar the real gas lies within 3 % of it.
 *
 * @param grams what goes in, 0 or more; a cartridge is named by it
 * @param volumeMl more than 0
 * @param celsius once it has warmed up again: it leaves the cartridge far colder
 */
export function gaugeBarFromGas(grams: number, volumeMl: number, celsius = 20): number {
  return (grams * barPerGramInLitre(celsius)) / (volumeMl / 1000)
}

/** Grams of carbon dioxide for a gauge pressure; the reverse of `gaugeBarFromGas`. */
export function gasForGaugeBar(gaugeBar: number, volumeMl: number, celsius = 20): number {
  return (gaugeBar * (volumeMl / 1000)) / barPerGramInLitre(celsius)
}

/** How much of the pressure one rides at will do until the next pump. Planning value. */
export const rideableShare = 0.8
/** How much more than that pressure it takes to push a tubeless bead into its seat. Planning value. */
export const seatingShare = 1.2

/** Cartridges that give at least a pressure; each is used up whole. */
export function cartridgesFor(gaugeBar: number, cartridgeG: number, volumeMl: number, celsius = 20): number {
  return Math.max(1, Math.ceil(gasForGaugeBar(gaugeBar, volumeMl, celsius) / cartridgeG - 1e-9))
}
