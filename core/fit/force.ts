/**
 * The most a hand gives at the end of a lever where nobody has said, N. Planning value, of the order of the
 * one-handed pull of a standing man in the tables of DIN 33411-5 and of "Human Engineering Design Data Digest"
 * (2000), both named from memory. Hands differ by a factor of two and more.
 */
export const defaultHandN = 400
/** The share of that which a hand pulls with ease: 250 N of 400. Planning value, from the same. */
export const comfortableShare = 0.625

/**
 * Force at the hand for a torque: torque ÷ lever.
 *
 * @param torqueNm 0 or more
 * @param leverMm more than 0; 0 gives Infinity for any torque at all
 */
export function handForceN(torqueNm: number, leverMm: number): number {
  return torqueNm === 0 ? 0 : torqueNm / (leverMm / 1000)
}
