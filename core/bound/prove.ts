import type { Highs } from 'highs'
import type { IndexedLedger } from '../ledger'
import type { KitChoice } from '../search'
import { programOf, type Program } from './program'

/** How far a kit can be from the best. */
export interface Proof {
  /** No kit whatever is worth more than this, in net hours. */
  readonly boundNetH: number
  /** At most this much better is any other, as a share of what the kit saves. */
  readonly gap: number
  readonly seconds: number
}

export interface ProofOptions {
  /** Stops after so many seconds, with the bound reached by then. */
  readonly seconds?: number
  /** Told now and then how high the bound still is; returning true stops the proof. */
  readonly onProgress?: (boundNetH: number, seconds: number) => boolean
}

/**
 * How far a kit can be from the best: a bound by an independent solver, HiGHS (Q. Huangfu and J. A. J. Hall, Math. Prog. Comp.
 * 10, 2018), over a program that no kit can beat (`programOf`).
 *
 * Part of the gap is the program's own: what it grants that no kit can do. What bare hands mend is no merit of a kit, and is
 * taken off what the program saves.
 */
export function prove(ledger: IndexedLedger, kit: KitChoice, highs: Highs, options: ProofOptions = {}): Proof {
  const program = programOf(ledger)
  const byHandsH = program.unmendedH - kit.emptyH
  return highs.withModel(modelOf(program, highs), (model) => {
    model.options.set({ output_flag: false, mip_rel_gap: 1e-3, time_limit: options.seconds ?? 60 })
    const event = highs.constants.callbackType
    let logged = Infinity
    model.run({
      [event.mipLogging]: ({ data }) => {
        if (data.mip_dual_bound !== undefined) logged = Math.min(logged, data.mip_dual_bound)
      },
      [event.mipInterrupt]: (interrupt) => {
        const { mip_dual_bound: bound, running_time: seconds } = interrupt.data
        if (bound !== undefined && options.onProgress?.(bound - byHandsH, seconds ?? 0)) interrupt.interrupt()
      },
    })
    const seconds = model.getRunTime()
    const dual = Number(model.info.get('mip_dual_bound'))
    const boundNetH = Math.min(kit.emptyH, (Number.isFinite(dual) ? dual : logged) - byHandsH)
    const savedH = kit.emptyH - kit.promiseH
    return { boundNetH, gap: savedH > 0 ? Math.max(0, boundNetH - kit.netH) / savedH : 0, seconds }
  })
}

function modelOf({ columns, rows }: Program, highs: Highs) {
  const starts = [0]
  let count = 0
  for (const { indices } of rows) starts.push((count += indices.length))
  const { integer, continuous } = highs.constants.variableType
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: highs.constants.objectiveSense.maximize,
    colCost: Float64Array.from(columns, ({ cost }) => cost),
    colLower: Float64Array.from(columns, ({ lower }) => lower),
    colUpper: Float64Array.from(columns, ({ upper }) => upper),
    rowLower: new Float64Array(rows.length).fill(-Infinity),
    rowUpper: Float64Array.from(rows, ({ upper }) => upper),
    integrality: Int32Array.from(columns, ({ isWhole }) => (isWhole ? integer : continuous)),
    matrix: {
      format: 'csr' as const,
      numRows: rows.length,
      numCols: columns.length,
      starts: Int32Array.from(starts),
      indices: Int32Array.from(rows.flatMap(({ indices }) => indices)),
      values: Float64Array.from(rows.flatMap(({ values }) => values)),
    },
  }
}
