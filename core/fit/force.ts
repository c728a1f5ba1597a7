/**
 * What a hand gives at the end of a lever, N. Planning values: comfortable to 250, limit 400; of the order of
 * the one-handed pull of a standing man in the tables of DIN 33411-5 and of "Human Engineering Design Data
 * Digest" (2000), both named from memory.
 */
export const handComfortableN = 250
export const handLimitN = 400

/**
 * Force at the hand for a torque: torque ÷ lever.
 *
 * @param torqueNm 0 or more
 * @param leverMm more than 0; 0 gives Infinity for any torque at all
 */
export function handForceN(torqueNm: number, leverMm: number): number {
  return torqueNm === 0 ? 0 : torqueNm / (leverMm / 1000)
}
