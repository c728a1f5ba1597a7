import { defined, nth } from '#core/validation'
import { chooseFast } from '#core/choose'
import { savedHours, ledgerFormat, type Ledger } from '#core/trip-ledger'

/** The worked example of the model: one rider, one gap. */
export function workedExample(gramsPerHour?: number, budgetG?: number): Ledger {
  const swap = { id: 'swap-tube', needs: ['lever', 'inflate'], uses: { tube: 1 }, success: 0.99, residualH: 0.3 }
  const patch = { id: 'patch-tube', needs: ['lever', 'inflate'], uses: { patch: 1 }, success: 0.85, residualH: 0.6 }
  const flat = (k: number, probability: number) => ({
    id: `flat/k${k}`,
    legs: [0],
    probability,
    lossH: 5,
    fixes: [swap, patch],
  })
  return {
    format: ledgerFormat,
    legs: 1,
    items: [
      { id: 'pump', massG: 150, max: 1, provides: ['inflate'], units: {} },
      { id: 'levers', massG: 30, max: 1, provides: ['lever'], units: {} },
      { id: 'tube', massG: 140, max: 3, provides: [], units: { tube: 1 } },
      { id: 'patches', massG: 20, max: 1, provides: [], units: { patch: 6 } },
      { id: 'link', massG: 4, max: 2, provides: [], units: { link: 1 } },
      { id: 'breaker', massG: 40, max: 1, provides: ['break chain'], units: {} },
      { id: 'hanger', massG: 20, max: 1, provides: [], units: { hanger: 1 } },
      { id: 'keys', massG: 90, max: 1, provides: ['hex'], units: {} },
    ],
    stocks: ['tube', 'patch', 'link', 'hanger'].map((id) => ({ id, gaps: [[0]] })),
    claims: [
      flat(1, 0.6),
      flat(2, 0.24),
      flat(3, 0.07),
      {
        id: 'chain/k1',
        legs: [0],
        probability: 0.02,
        lossH: 6,
        fixes: [{ id: 'join', needs: ['break chain'], uses: { link: 1 }, success: 0.9, residualH: 0.3 }],
      },
      {
        id: 'hanger/k1',
        legs: [0],
        probability: 0.01,
        lossH: 8,
        fixes: [
          { id: 'swap-hanger', needs: ['hex'], uses: { hanger: 1 }, success: 0.9, residualH: 0.4 },
          { id: 'single-speed', needs: ['break chain', 'hex'], uses: { link: 1 }, success: 0.7, residualH: 3 },
        ],
      },
    ],
    ...(gramsPerHour === undefined ? {} : { gramsPerHour }),
    ...(budgetG === undefined ? {} : { budgetG }),
    pins: {},
  }
}

/** A small seeded generator of uniform numbers (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export interface RandomSize {
  readonly legs: number
  readonly tools: number
  readonly consumables: number
  readonly hazards: number
  readonly repeats: number
  readonly maxEach: number
  readonly budget: 'never' | 'sometimes' | 'always'
}

/** A random ledger with what makes real ones hard: bundles of tools, shared stocks, several gaps. */
export function randomLedger(seed: number, size: RandomSize): Ledger {
  const random = seeded(seed)
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1))
  const pick = <T>(list: readonly T[]): T => nth(list, Math.floor(random() * list.length))
  const functions = Array.from({ length: Math.max(2, Math.ceil(size.tools * 0.8)) }, (_, f) => `f${f}`)
  const stocks = Array.from({ length: Math.max(1, Math.ceil(size.consumables * 0.8)) }, (_, s) => `s${s}`)
  const partition = () => {
    const gaps: number[][] = [[0]]
    for (let leg = 1; leg < size.legs; leg++) {
      if (random() < 0.4) gaps.push([leg])
      else nth(gaps, gaps.length - 1).push(leg)
    }
    return gaps
  }
  const items = [
    ...Array.from({ length: size.tools }, (_, i) => ({
      id: `tool${i}`,
      massG: whole(10, 180),
      max: 1,
      provides: [...new Set(Array.from({ length: random() < 0.25 ? whole(2, 4) : 1 }, () => pick(functions)))],
      units: {},
    })),
    ...Array.from({ length: size.consumables }, (_, i) => ({
      id: `stock${i}`,
      massG: whole(3, 150),
      max: whole(1, size.maxEach),
      provides: [],
      units: { [nth(stocks, i % stocks.length)]: pick([1, 1, 1, 2, 6]) },
    })),
  ]
  const claims = Array.from({ length: size.hazards }, (_, h) => {
    const gap = pick(partition())
    const lossH = 1 + random() * 12
    const expected = random() ** 2 * 1.5
    const fixes = Array.from({ length: whole(1, 3) }, (_, f) => ({
      id: `fix${f}`,
      needs: [...new Set(Array.from({ length: whole(0, 2) }, () => pick(functions)))],
      uses: random() < 0.8 ? { [pick(stocks)]: 1 } : {},
      success: 0.4 + random() * 0.6,
      residualH: random() * lossH * 0.5,
    }))
    let tail = 1 - Math.exp(-expected)
    let term = Math.exp(-expected)
    return Array.from({ length: whole(1, size.repeats) }, (_, k) => {
      const probability = Math.max(0, tail)
      term = (term * expected) / (k + 1)
      tail -= term
      return { id: `h${h}/k${k + 1}`, legs: gap, probability, lossH, fixes }
    })
  }).flat()
  const budgeted = size.budget === 'always' || (size.budget === 'sometimes' && random() < 0.5)
  return {
    format: ledgerFormat,
    legs: size.legs,
    items,
    stocks: stocks.map((id) => ({ id, gaps: partition() })),
    claims,
    pins: random() < 0.2 ? { [nth(items, 0).id]: { min: 0, max: 0 } } : {},
    ...(budgeted ? { budgetG: whole(100, 900) } : {}),
    ...(random() < 0.85 || !budgeted ? { gramsPerHour: whole(50, 1500) } : {}),
  }
}

/**
 * A random ledger built like a real one: systems of a bike with tools and
 * stocks of their own, a few tools and stocks that serve them all, hazards
 * repeated over the gaps of the road, several schools of mending for each.
 */
export function bikeLikeLedger(seed: number): Ledger {
  const random = seeded(seed)
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1))
  const pick = <T>(list: readonly T[]): T => nth(list, Math.floor(random() * list.length))
  const legs = whole(8, 14)
  const partition = (chance: number) => {
    const gaps: number[][] = [[0]]
    for (let leg = 1; leg < legs; leg++) {
      if (random() < chance) gaps.push([leg])
      else nth(gaps, gaps.length - 1).push(leg)
    }
    return gaps
  }
  const items: Ledger['items'] = []
  const stocks: Ledger['stocks'] = []
  const tool = (id: string, provides: string[], massG: number) => items.push({ id, massG, max: 1, provides, units: {} })
  const stock = (id: string, massG: number, max: number, units: number) => {
    stocks.push({ id, gaps: partition(0.35) })
    items.push({ id: `a ${id}`, massG, max, provides: [], units: { [id]: units } })
  }
  const shared = ['keys', 'pliers', 'wipe']
  const common = ['tape', 'tie']
  for (const name of shared) tool(`own ${name}`, [name], whole(10, 90))
  for (const name of common) stock(name, whole(8, 20), 1, whole(3, 6))
  const claims: Ledger['claims'] = []
  const systems = whole(7, 10)
  for (let s = 0; s < systems; s++) {
    const functions = Array.from({ length: whole(1, 3) }, (_, f) => `s${s}f${f}`)
    const parts = Array.from({ length: whole(1, 3) }, (_, p) => `s${s}p${p}`)
    functions.forEach((fn) => tool(`tool ${fn}`, [fn], whole(10, 150)))
    parts.forEach((part) => stock(part, whole(3, 180), whole(1, 4), pick([1, 1, 1, 2, 6])))
    for (let h = 0; h < whole(1, 4); h++) {
      const gaps = partition(0.35)
      const perGap = random() ** 2 * 0.9
      const fixes = Array.from({ length: whole(1, 4) }, (_, f) => ({
        id: `fix${f}`,
        needs: [...new Set([...functions.filter(() => random() < 0.55), ...(random() < 0.3 ? [pick(shared)] : [])])],
        uses: random() < 0.8 ? { [random() < 0.85 ? pick(parts) : pick(common)]: 1 } : {},
        success: 0.3 + random() * 0.7,
        share: random() * 0.4,
      }))
      gaps.forEach((gap, g) => {
        const lossH = gap.length * (0.5 + random() * 3)
        const expected = (perGap * gap.length) / 3
        let tail = 1 - Math.exp(-expected)
        let term = Math.exp(-expected)
        for (let k = 1; k <= 5 && tail * lossH > 0.005; k++) {
          claims.push({
            id: `s${s}h${h}/g${g}/k${k}`,
            legs: gap,
            probability: tail,
            lossH,
            fixes: fixes.map(({ share, ...fix }) => ({ ...fix, residualH: 0.2 + share * lossH })),
          })
          term = (term * expected) / k
          tail = Math.max(0, tail - term)
        }
      })
    }
  }
  // One folding tool that does a little of everything.
  tool(
    'folding tool',
    ['keys', ...items.flatMap((item) => item.provides).filter(() => random() < 0.4)],
    whole(140, 200),
  )
  return {
    format: ledgerFormat,
    legs,
    items,
    stocks,
    claims,
    pins: {},
    gramsPerHour: whole(80, 1200),
    ...(random() < 0.3 ? { budgetG: whole(300, 900) } : {}),
  }
}

/** Ledgers so small that every kit can be tried. */
export const tiny = {
  legs: 3,
  tools: 4,
  consumables: 3,
  hazards: 4,
  repeats: 3,
  maxEach: 2,
  budget: 'sometimes',
} as const

/** Checks a choice against the rules of the ledger, without any of the solvers' own machinery. */
export function breaches(ledger: Ledger, choice: ReturnType<typeof chooseFast>): string[] {
  const found: string[] = []
  const carried = ledger.items.filter((item) => defined(choice.counts[item.id]) > 0)
  for (const item of ledger.items) {
    const n = defined(choice.counts[item.id])
    const pin = ledger.pins[item.id]
    if (n < (pin?.min ?? 0) || n > Math.min(item.max, pin?.max ?? Infinity)) found.push(`count of ${item.id}`)
  }
  if (choice.massG > (ledger.budgetG ?? Infinity) + 1e-6) found.push('budget')
  let savedH = 0
  for (const claim of ledger.claims) {
    const fix = claim.fixes.find((candidate) => candidate.id === choice.answers[claim.id])
    if (!fix) continue
    savedH += savedHours(claim, fix)
    for (const need of fix.needs) {
      if (!carried.some((item) => item.provides.includes(need))) found.push(`${claim.id} lacks ${need}`)
    }
  }
  for (const stock of ledger.stocks) {
    const held = ledger.items.reduce(
      (sum, item) => sum + defined(choice.counts[item.id]) * (item.units[stock.id] ?? 0),
      0,
    )
    for (const gap of stock.gaps) {
      const drawn = ledger.claims.reduce((sum, claim) => {
        const fix = claim.fixes.find((candidate) => candidate.id === choice.answers[claim.id])
        return sum + (claim.legs.some((leg) => gap.includes(leg)) ? (fix?.uses[stock.id] ?? 0) : 0)
      }, 0)
      if (drawn > held + 1e-6) found.push(`${stock.id} overdrawn`)
    }
  }
  if (Math.abs(savedH - choice.savedH) > 1e-6) found.push(`saved ${choice.savedH}, not ${savedH}`)
  return found
}
