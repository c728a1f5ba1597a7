import { ledgerFormat, readLedger, type Ledger } from '#core/ledger'

/** Three kinds of failure, eight things: small enough for every kit to be followed through everything that can come. */
export function workedExample(change: Partial<Ledger> = {}): Ledger {
  return readLedger({
    format: ledgerFormat,
    legs: 1,
    items: [
      { id: 'pump', massG: 150, max: 1, provides: ['inflate'] },
      { id: 'levers', massG: 30, max: 1, provides: ['lever'] },
      { id: 'tube', massG: 140, max: 3, units: { tube: 1 } },
      { id: 'patches', massG: 20, max: 1, units: { patch: 6 } },
      { id: 'link', massG: 4, max: 2, units: { link: 1 } },
      { id: 'breaker', massG: 40, max: 1, provides: ['break chain'] },
      { id: 'hanger', massG: 20, max: 1, units: { hanger: 1 } },
      { id: 'keys', massG: 90, max: 1, provides: ['hex'] },
    ],
    stocks: ['tube', 'patch', 'link', 'hanger'].map((id) => ({ id })),
    events: [
      {
        id: 'flat',
        perLeg: [0.9],
        lossH: 5,
        fixes: [
          fix('tube', ['lever', 'inflate'], { tube: 1 }, 0.99, 0.98, 0.25, 0.05),
          fix('patch', ['lever', 'inflate'], { patch: 1 }, 0.95, 0.9, 0.4, 0.2),
        ],
      },
      {
        id: 'chain',
        perLeg: [0.02],
        lossH: 6,
        fixes: [fix('link', ['break chain'], { link: 1 }, 0.93, 0.97, 0.2, 0.1)],
      },
      {
        id: 'hanger',
        perLeg: [0.01],
        lossH: 8,
        fixes: [
          fix('hanger', ['hex'], { hanger: 1 }, 0.93, 0.97, 0.35, 0.1),
          fix('single speed', ['break chain', 'hex'], { link: 1 }, 0.8, 0.85, 0.75, 2),
        ],
      },
    ],
    ...change,
  })
}

function fix(
  id: string,
  needs: readonly string[],
  uses: Readonly<Record<string, number>>,
  hands: number,
  holds: number,
  workH: number,
  residualH: number,
) {
  return { id, needs, uses, hands, holds, workH, residualH }
}

/** The best kits of the worked example by the grams an hour is worth: hours saved, grams, and what the kit is. */
export const workedKits = [
  [50, {}, 0, 0],
  [100, { pump: 1, levers: 1, patches: 1 }, 3.6671, 200],
  [200, { pump: 1, levers: 1, patches: 1 }, 3.6671, 200],
  [300, { pump: 1, levers: 1, patches: 1 }, 3.6671, 200],
  [600, { pump: 1, levers: 1, patches: 1, tube: 1, breaker: 1, link: 1 }, 4.1245, 384],
  [1000, { pump: 1, levers: 1, patches: 1, tube: 2, breaker: 1, link: 2 }, 4.2692, 528],
  [2000, { pump: 1, levers: 1, patches: 1, tube: 2, breaker: 1, link: 2, hanger: 1, keys: 1 }, 4.3405, 638],
  [4000, { pump: 1, levers: 1, patches: 1, tube: 3, breaker: 1, link: 2, hanger: 1, keys: 1 }, 4.382, 778],
] as const
