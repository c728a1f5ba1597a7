import { writeLine } from './line'

/** What an invented scale does, in numbers of its own; written down in docs/scale-protocol.md. */
export const panBehaviour = {
  /** A pan on a spring: how fast it swings, rad/s, and how soon that dies away. */
  swing: 12,
  damping: 0.35,
  /** It creeps by so much, g/s. */
  driftGPerS: 0.01,
  /** What a reading jitters by, g. */
  noiseG: 0.04,
  mostG: 5000,
  /** Time between two lines, ms. */
  lineMs: 100,
  /** A hand that puts something down leans on it for so long, ms, by up to so much, g. */
  leaningMs: 500,
  leaningG: 120,
} as const

const stepS = 0.005
/** Lines that the scale looks back at to call itself steady, and how close they lie. */
const lookedBack = 4
const steadyG = 0.1

/**
 * A scale that does not exist: a pan that swings and settles, creeps, and feels the hand that puts something on it. It
 * speaks line by line as docs/scale-protocol.md says.
 *
 * @param random draws from 0 to 1
 */
export class InventedScale {
  private loadG = 0
  private leansUntilMs = 0
  private leaningG = 0
  private atG = 0
  private speed = 0
  private driftG = 0
  private zeroG = 0
  private clockMs = 0
  private said: number[] = []

  constructor(private readonly random: () => number) {}

  /** Puts something on the pan. @param holding for how long the hand stays on it, ms */
  put(massG: number, holding: number = panBehaviour.leaningMs): void {
    this.loadG += massG
    this.leansUntilMs = this.clockMs + holding
    this.leaningG = panBehaviour.leaningG * (0.25 + 0.75 * this.random())
  }

  /** Takes everything off the pan. */
  clear(): void {
    this.loadG = 0
    this.leansUntilMs = this.clockMs
  }

  /** Makes what lies there nothing. */
  tare(): void {
    this.zeroG = this.atG + this.driftG
    this.said = []
  }

  /** The line after the next bit of time. */
  next(): string {
    const { lineMs, driftGPerS, noiseG, mostG } = panBehaviour
    for (let passedS = 0; passedS < lineMs / 1000; passedS += stepS) this.swing()
    this.clockMs += lineMs
    this.driftG += driftGPerS * (lineMs / 1000) * (this.random() < 0.8 ? 1 : -1)
    const read = this.atG + this.driftG - this.zeroG + noiseG * (2 * this.random() - 1)
    if (this.atG > mostG) return writeLine('over', read)
    const grams = Math.round(read * 10) / 10
    this.said = [...this.said, grams].slice(-lookedBack)
    const isSteady =
      this.said.length === lookedBack && Math.max(...this.said) - Math.min(...this.said) <= steadyG + 1e-9
    return writeLine(isSteady ? 'steady' : 'unsteady', grams)
  }

  private swing(): void {
    const { swing, damping } = panBehaviour
    // A hand never leans the same for long.
    const leans = this.clockMs < this.leansUntilMs ? this.leaningG * (0.6 + 0.4 * this.random()) : 0
    const force = swing ** 2 * (this.loadG + leans - this.atG) - 2 * damping * swing * this.speed
    this.speed += force * stepS
    this.atG += this.speed * stepS
  }
}
