/** A valve must stand out of the rim so far for a pump to hold on, mm; less, and few pumps do. Planning values. */
const stemOutMm = { most: 15, few: 8 }

/**
 * Which pumps hold on to a valve.
 *
 * @param stemMm length of its stem
 * @param depthMm depth of the rim it goes through
 */
export function pumpsThatHold(stemMm: number, depthMm: number): 'most' | 'few' | 'none' {
  const outMm = stemMm - depthMm
  return outMm >= stemOutMm.most ? 'most' : outMm >= stemOutMm.few ? 'few' : 'none'
}
