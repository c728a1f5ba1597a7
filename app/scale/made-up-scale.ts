import { InventedScale, panBehaviour } from '#core/scale'
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import type { Scale } from './scale'

/** Draws from 0 to 1, always the same for the same words. */
function seeded(words: string): () => number {
  const seed = Array.from(words).reduce((hash, char) => (Math.imul(hash, 31) + char.charCodeAt(0)) | 0, 7)
  const generator = xoroshiro128plus(seed)
  return () => uniformFloat64(generator)
}

/** A thing weighs up to so much more or less than is said of it. */
const spread = 0.08

/** What a thing weighs on the scale that does not exist, g. @param saidG what is said of it */
export function madeUpMassG(thing: string, saidG: number): number {
  return saidG * (1 + spread * (2 * seeded(thing)() - 1))
}

/** A scale that does not exist, with the hands that one would have at a real one. */
export interface MadeUpScale extends Scale {
  put(massG: number): void
  /** Puts something down and takes it away before the pan stands still. */
  putTooShortly(massG: number): void
  clear(): void
  pullPlug(): void
  /** Says something that no scale says. */
  babble(): void
}

export function madeUpScale(): MadeUpScale {
  const scale = new InventedScale(seeded('rag tin'))
  let say: (text: string) => void = () => undefined
  let lose: () => void = () => undefined
  let timer: ReturnType<typeof setInterval> | undefined
  const stop = () => clearInterval(timer)
  return {
    name: 'the made-up scale',
    connect(line, lost) {
      stop()
      say = line
      lose = lost
      timer = setInterval(() => say(scale.next()), panBehaviour.lineMs)
      return { tare: () => scale.tare(), close: stop }
    },
    put: (massG) => scale.put(massG),
    putTooShortly(massG) {
      scale.put(massG)
      setTimeout(() => scale.clear(), panBehaviour.leaningMs)
    },
    clear: () => scale.clear(),
    pullPlug() {
      stop()
      lose()
    },
    babble: () => say('S +93,4 oz'),
  }
}
