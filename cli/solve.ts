import { prove } from '#core/bound'
import { bestExactKit } from '#core/exact'
import { indexLedger, readLedger } from '#core/ledger'
import { bestKit, type KitChoice } from '#core/search'
import loadHighs from 'highs'
import { jsonFile } from './json-file'
import { namedCounts } from './kit-file'
import { onePath, parsedArgs, UsageError } from './usage'

/** The best kit for a ledger: as the search finds it, with a proof where asked, or by following every kit exactly. */
export async function solve(args: string[]): Promise<unknown> {
  const { positionals, values } = parsedArgs(args, {
    proof: { type: 'boolean' },
    exact: { type: 'boolean' },
  } as const)
  if (values.proof && values.exact) throw new UsageError('--exact tries every kit and needs no --proof')
  const ledger = readLedger(jsonFile(onePath(positionals), 'a ledger document'))
  const indexed = indexLedger(ledger)
  const said = ({ counts, promiseH, walkH, emptyH, massG, money, netH, stranded }: KitChoice) => ({
    counts: namedCounts(ledger, counts),
    ...{ promiseH, walkH, emptyH, massG, money, netH, stranded },
  })
  if (values.exact) return said(bestExactKit(indexed))
  const kit = bestKit(indexed)
  if (!values.proof) return said(kit)
  return { ...said(kit), proof: prove(indexed, kit, await loadHighs()) }
}
