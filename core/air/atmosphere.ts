import { Fault } from '../validation'

/** Constants of the standard atmosphere. Source: ISO 2533:1975, clause 2. */
const seaLevelHPa = 1013.25
const seaLevelK = 288.15
const lapseKPerM = 0.0065
const gravity = 9.80665
const airJPerKgK = 287.05287
const tropopauseM = 11_000
const exponent = gravity / (airJPerKgK * lapseKPerM)

/** Heights the formula is good for, m. */
export const atmosphereM = { least: -2000, most: 20_000 }

/**
 * Pressure of the standard atmosphere, hPa.
 *
 * @param heightM geopotential height, −2000 to 20 000 m; up to the height of any road it differs from the
 *   height on a map by less than a metre in a thousand
 * @throws Fault outside that range
 * Source: ISO 2533:1975, formulae for a layer with a temperature gradient, and for the layer above 11 km.
 */
export function standardHPa(heightM: number): number {
  if (!(heightM >= atmosphereM.least && heightM <= atmosphereM.most)) {
    throw new Fault('height', `${heightM} m`, `a height from ${atmosphereM.least} to ${atmosphereM.most} m`)
  }
  const inTroposphere = Math.min(heightM, tropopauseM)
  const temperatureK = seaLevelK - lapseKPerM * inTroposphere
  const hPa = seaLevelHPa * (temperatureK / seaLevelK) ** exponent
  if (heightM <= tropopauseM) return hPa
  return hPa * Math.exp((-gravity * (heightM - tropopauseM)) / (airJPerKgK * temperatureK))
}

/**
 * What a tyre filled at one height reads at another, bar gauge: the air in it stays, the air around it changes.
 */
export function gaugeBarAt(gaugeBar: number, filledAtM: number, atM: number): number {
  return gaugeBar + (standardHPa(filledAtM) - standardHPa(atM)) / 1000
}

/** By how much the gauge pressure grows between two heights, as a share of the absolute pressure inside. */
export function strainShare(gaugeBar: number, filledAtM: number, atM: number): number {
  const outside = standardHPa(filledAtM) / 1000
  return (gaugeBarAt(gaugeBar, filledAtM, atM) - gaugeBar) / (gaugeBar + outside)
}

/** Cabin height that an airliner's hold is kept to at most, m. Source: 14 CFR 25.841(a), 8000 ft. */
export const cabinM = 2438
