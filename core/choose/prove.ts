import type { Highs } from 'highs'
import type { Ledger } from '../trip-ledger'
import type { Choice } from './choice'
import { problemOf, type Problem } from './problem'

export interface Proof {
  /** No kit whatever can be worth more than this, in net hours. */
  readonly boundNetH: number
  /** How far the shown kit may be from the best, as a share of the bound. */
  readonly gap: number
  readonly seconds: number
  /** The best kit the proof came across; at least as good as the shown one. */
  readonly best: Pick<Choice, 'counts' | 'netH'>
}

export interface ProofOptions {
  /** Stops after so many seconds, with the bound reached by then. */
  readonly seconds?: number
  /** Told now and then how high the bound still is; returning true stops the proof. */
  readonly onProgress?: (boundNetH: number, seconds: number) => boolean
}

/** HiGHS meets its constraints to within this, so a bound may fall short of a true answer by about as much. */
const toleranceH = 1e-5

/**
 * How far a kit can be from the best, by an independent solver: the ledger as
 * a mixed-integer program for HiGHS (Q. Huangfu and J. A. J. Hall, "Parallelizing
 * the dual revised simplex method", Math. Prog. Comp. 10, 2018).
 *
 * @param shown the kit to be judged, from the fast solver
 * @throws Error when the bound comes out below a kit that exists: one of the two is wrong
 */
export function prove(ledger: Ledger, shown: Choice, highs: Highs, options: ProofOptions = {}): Proof {
  const problem = problemOf(ledger)
  const program = programOf(problem, highs)
  return highs.withModel(program.model, (model) => {
    model.options.set({ output_flag: false, mip_rel_gap: 1e-6, time_limit: options.seconds ?? 60 })
    const event = highs.constants.callbackType
    let loggedBound = Infinity
    model.run({
      [event.mipLogging]: ({ data }) => {
        if (data.mip_dual_bound !== undefined) loggedBound = Math.min(loggedBound, data.mip_dual_bound)
      },
      [event.mipInterrupt]: (interrupt) => {
        const { mip_dual_bound: bound, running_time: seconds } = interrupt.data
        if (bound !== undefined && options.onProgress?.(bound, seconds ?? 0)) interrupt.interrupt()
      },
    })
    const seconds = model.getRunTime()
    const dual = Number(model.info.get('mip_dual_bound'))
    const bound = Number.isFinite(dual) ? dual : Math.min(loggedBound, program.ceilingH)
    if (bound < shown.netH - toleranceH) {
      throw new Error(`the proof found ${bound} h to be the most, yet a kit worth ${shown.netH} h exists`)
    }
    const boundNetH = Math.max(bound, shown.netH)
    const found = model.getSolution().colValue
    const netH = model.getObjectiveValue()
    const counts = Object.fromEntries(problem.items.map((item, i) => [item.id, Math.round(found[i] ?? 0)]))
    const best =
      found.length > 0 && netH > shown.netH + toleranceH ? { counts, netH } : { counts: shown.counts, netH: shown.netH }
    return { boundNetH, gap: boundNetH > 0 ? (boundNetH - shown.netH) / boundNetH : 0, seconds, best }
  })
}

/**
 * Variables: a count for each item, then for each function whether it is
 * carried, then for each answer whether it is used.
 */
function programOf(problem: Problem, highs: Highs) {
  const { items, claims, providers } = problem
  const firstAnswer = items.length + problem.functions
  const answers = claims.flatMap((claim) => claim.answers)
  const columns = firstAnswer + answers.length
  const rows: { indices: number[]; values: number[]; upper: number }[] = []

  // A function is carried only with something that offers it.
  providers.forEach((list, f) => {
    rows.push({ indices: [items.length + f, ...list], values: [1, ...list.map(() => -1)], upper: 0 })
  })
  const onShelf = new Map<number, { indices: number[]; values: number[] }>()
  let column = firstAnswer
  for (const claim of claims) {
    const own: number[] = []
    for (const answer of claim.answers) {
      own.push(column)
      for (const f of answer.needs) rows.push({ indices: [column, items.length + f], values: [1, -1], upper: 0 })
      answer.shelves.forEach((shelf, j) => {
        const row = onShelf.get(shelf) ?? { indices: [], values: [] }
        row.indices.push(column)
        row.values.push(answer.shelfAmounts[j]!)
        onShelf.set(shelf, row)
      })
      column++
    }
    rows.push({ indices: own, values: own.map(() => 1), upper: 1 })
  }
  for (const [shelf, row] of onShelf) {
    const stock = problem.shelfStock[shelf]!
    for (const i of problem.suppliers[stock]!) {
      row.indices.push(i)
      row.values.push(-items[i]!.units[items[i]!.stocks.indexOf(stock)]!)
    }
    rows.push({ ...row, upper: 0 })
  }
  if (Number.isFinite(problem.budgetG)) {
    rows.push({ indices: items.map((_, i) => i), values: items.map((item) => item.massG), upper: problem.budgetG })
  }

  const starts = [0]
  for (const row of rows) starts.push(starts[starts.length - 1]! + row.indices.length)
  const costs = new Float64Array(columns)
  items.forEach((item, i) => (costs[i] = -item.priceH))
  answers.forEach((answer, a) => (costs[firstAnswer + a] = answer.savedH))
  const lower = new Float64Array(columns)
  const upper = new Float64Array(columns).fill(1)
  items.forEach((item, i) => {
    lower[i] = item.min
    upper[i] = item.max
  })
  return {
    /** No kit saves more than every claim answered at its best, carried for nothing. */
    ceilingH: claims.reduce((sum, claim) => sum + claim.answers[0]!.savedH, 0),
    model: {
      numCols: columns,
      numRows: rows.length,
      sense: highs.constants.objectiveSense.maximize,
      colCost: costs,
      colLower: lower,
      colUpper: upper,
      rowLower: new Float64Array(rows.length).fill(-Infinity),
      rowUpper: Float64Array.from(rows, (row) => row.upper),
      integrality: new Int32Array(columns).fill(highs.constants.variableType.integer),
      matrix: {
        format: 'csr' as const,
        numRows: rows.length,
        numCols: columns,
        starts: Int32Array.from(starts),
        indices: Int32Array.from(rows.flatMap((row) => row.indices)),
        values: Float64Array.from(rows.flatMap((row) => row.values)),
      },
    },
  }
}
