import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { ToolScenarios } from '../../core/promise/tool-scenarios'

/** Two fixes: one turns, the other turns and pumps. */
const ledgerOf = (
  tools: readonly { readonly provides: string[]; readonly condition: number; readonly max?: number }[],
) =>
  indexLedger(
    readLedger({
      format: ledgerFormat,
      legs: 1,
      items: tools.map((tool, i) => ({ id: `tool ${i}`, massG: 10, max: 1, ...tool })),
      stocks: [],
      events: [
        {
          id: 'loose',
          perLeg: [1],
          lossH: 1,
          fixes: [
            { id: 'turn', needs: ['turn'], hands: 1 },
            { id: 'both', needs: ['turn', 'pump'], hands: 1 },
          ],
        },
      ],
      gramsPerHour: 1,
    }),
  )
const scenarios = (ledger: ReturnType<typeof ledgerOf>, counts: readonly number[]) =>
  Object.fromEntries(
    new ToolScenarios(ledger, nth(ledger.events, 0))
      .carrying(counts)
      .map(({ doable, chance }) => [doable.map((can) => (can ? 'yes' : 'no')).join(' '), chance]),
  )

describe('what the tools that are carried allow', () => {
  const tools = ledgerOf([
    { provides: ['turn'], condition: 0.9, max: 2 },
    { provides: ['pump', 'something else'], condition: 0.8 },
    { provides: ['turn', 'pump'], condition: 0.7 },
    { provides: ['turn'], condition: 1 },
  ])
  it('is each with the chance that just those work', () => {
    const byHand = { 'yes yes': 0.9 * 0.8, 'yes no': 0.9 * 0.2, 'no no': 0.1 }
    const found = scenarios(tools, [1, 1, 0, 0])
    expect(Object.keys(found).sort()).toEqual(Object.keys(byHand).sort())
    for (const [what, chance] of Object.entries(byHand)) expect(found[what]).toBeCloseTo(chance, 12)
  })
  it('of two alike is what either allows', () => {
    expect(scenarios(tools, [2, 0, 0, 0])['no no']).toBeCloseTo(0.01, 12)
    expect(scenarios(tools, [0, 0, 0, 0])).toEqual({ 'no no': 1 })
  })
  it('of one tool for both stands and falls with it', () => {
    const found = scenarios(tools, [0, 0, 1, 0])
    expect(found['yes yes']).toBeCloseTo(0.7, 12)
    expect(found['no no']).toBeCloseTo(0.3, 12)
    expect(found['yes no']).toBeUndefined()
    // With a pump besides, and with a key: 0.7 + 0.3 · 0.9 · 0.8 both; 0.3 · 0.9 · 0.2 turn only.
    const all = scenarios(tools, [1, 1, 1, 0])
    expect(all['yes yes']).toBeCloseTo(0.7 + 0.3 * 0.72, 12)
    expect(all['yes no']).toBeCloseTo(0.3 * 0.18, 12)
    expect(all['no no']).toBeCloseTo(0.3 * 0.1, 12)
  })
  it('of what always works is sure', () => {
    expect(scenarios(tools, [1, 0, 0, 1])).toEqual({ 'yes no': 1 })
    const beside = scenarios(tools, [1, 1, 0, 1])
    expect(beside['yes yes']).toBeCloseTo(0.8, 12)
    expect(beside['yes no']).toBeCloseTo(0.2, 12)
  })
  it('leaves out what comes less than once in a thousand trips; the others share its chance', () => {
    const rare = ledgerOf([
      { provides: ['turn'], condition: 0.9995 },
      { provides: ['pump'], condition: 0.5 },
    ])
    const found = scenarios(rare, [1, 1])
    expect(Object.keys(found).sort()).toEqual(['yes no', 'yes yes'])
    expect(found['yes yes']).toBeCloseTo(0.5, 12)
    const seldom = ledgerOf([
      { provides: ['turn'], condition: 0.999 },
      { provides: ['pump'], condition: 0.5 },
    ])
    expect(scenarios(seldom, [1, 1])['no no']).toBeCloseTo(0.001, 9)
  })
})
