import { indexLedger, ledgerFormat, readLedger, triesOf } from '#core/ledger'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

const fix = (id: string, hands: number, holds: number, workH: number, residualH: number | number[], more = {}) => ({
  id,
  hands,
  holds,
  workH,
  residualH,
  ...more,
})
/** The tries of a failure that costs ten hours, twenty on the second leg. */
const triesWith = (fixes: readonly object[], leg = 0, conditions = [1]) =>
  triesOf(
    nth(
      indexLedger(
        readLedger({
          format: ledgerFormat,
          legs: 2,
          items: [{ id: 'part', massG: 1, max: 1, units: { part: 1 } }],
          stocks: [{ id: 'part' }],
          events: [{ id: 'e', perLeg: [1, 1], lossH: [10, 20], fixes }],
        }),
      ).events,
      0,
    ),
    leg,
    Float64Array.from(conditions),
  ).map((each) => [each.fix.id, Number(each.holds.toFixed(9)), each.most])

describe('the fixes of a failure', () => {
  it('are tried by what a try is worth, less its work, the most first', () => {
    // Worth 0.5 · 1 · 10 − 0.5 = 4.5; 1 · 0.6 · (10 − 2) − 0 = 4.8; 0.9 · 0.9 · (10 − 1) − 3 = 4.29.
    const fixes = [fix('a', 0.5, 1, 0.5, 0), fix('b', 1, 0.6, 0, 2), fix('c', 0.9, 0.9, 3, 1)]
    expect(triesWith(fixes).map(([id]) => id)).toEqual(['b', 'a', 'c'])
    // On the second leg 9.5, 10.8 and 12.39.
    expect(triesWith(fixes, 1).map(([id]) => id)).toEqual(['c', 'b', 'a'])
  })
  it('are left out where the work takes what they save, and more', () => {
    const fixes = [fix('even', 1, 0.5, 5, 0), fix('less', 1, 0.5, 6, 0), fix('more', 1, 0.5, 4.9, 0)]
    expect(triesWith(fixes).map(([id]) => id)).toEqual(['more'])
    expect(triesWith([fix('worse', 1, 1, 0, [10, 3])]).map(([id]) => id)).toEqual([])
    expect(triesWith([fix('worse', 1, 1, 0, [10, 3])], 1).map(([id]) => id)).toEqual(['worse'])
  })
  it('of equal worth keep their order', () => {
    const same = ['first', 'second', 'third'].map((id) => fix(id, 0.5, 0.5, 0.1, 1))
    expect(triesWith(same).map(([id]) => id)).toEqual(['first', 'second', 'third'])
  })
  it('with a part hold as the part is good, and are tried twice; without one, once', () => {
    const fixes = [fix('with', 1, 0.8, 0, 0, { uses: { part: 1 } }), fix('without', 1, 0.7, 0, 0)]
    expect(triesWith(fixes)).toEqual([
      ['with', 0.8, 2],
      ['without', 0.7, 1],
    ])
    expect(triesWith(fixes, 0, [0.5])).toEqual([
      ['without', 0.7, 1],
      ['with', 0.4, 2],
    ])
  })
})
