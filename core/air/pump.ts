/** Pressure of the air that a pump draws in where nothing else is said, bar. */
export const ambientBar = 1

/** Strokes a minute that one keeps up by hand. Planning value. */
export const strokesPerMinute = 60

/**
 * Strokes to a gauge pressure, with the air cooling down again: V·p / (stroke volume · pressure outside).
 *
 * @param strokeMl what the pump draws in with one stroke; dead volume and leaks make it more in truth
 * @param outsideBar pressure of the air around: at height each stroke brings less
 */
export function strokesTo(gaugeBar: number, volumeMl: number, strokeMl: number, outsideBar = ambientBar): number {
  return (volumeMl * gaugeBar) / (strokeMl * outsideBar)
}

/** What of a small compressor's battery becomes compressed air. Planning value. */
export const compressorEfficiency = 0.15

/**
 * Energy a compressor takes from its battery for one fill, Wh.
 *
 * Pressing air at the temperature around into a tyre whose pressure rises from p₁ to p₂ takes at least
 * V · (p₂ · ln(p₂/p₁) − p₂ + p₁).
 */
export function fillWh(gaugeBar: number, volumeMl: number, outsideBar = ambientBar): number {
  const inside = gaugeBar + outsideBar
  const barLitres = (volumeMl / 1000) * (inside * Math.log(inside / outsideBar) - gaugeBar)
  const joules = barLitres * 100
  return joules / 3600 / compressorEfficiency
}
