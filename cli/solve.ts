import { chooseBrute, chooseFast, prove } from '#core/choose'
import { readLedger } from '#core/trip-ledger'
import { Fault } from '#core/validation'
import loadHighs from 'highs'
import { fileText, UsageError, parsedArgs } from './usage'

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new Fault(
      'the file',
      `not JSON (${error instanceof Error ? error.message : 'unreadable'})`,
      'a ledger document',
    )
  }
}

/** The best kit for a ledger: fast, with a proof, or by trying everything. */
export async function solve(args: string[]): Promise<unknown> {
  const { positionals, values } = parsedArgs(args, {
    proof: { type: 'boolean' },
    brute: { type: 'boolean' },
  } as const)
  if (values.proof && values.brute) throw new UsageError('--brute is exact and needs no --proof')
  const ledger = readLedger(parsed(fileText(positionals)))
  if (values.brute) return chooseBrute(ledger)
  const choice = chooseFast(ledger)
  if (!values.proof) return choice
  const { boundNetH, gap, seconds } = prove(ledger, choice, await loadHighs())
  return { ...choice, proof: { boundNetH, gap, seconds } }
}
