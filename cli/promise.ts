import { indexLedger, readLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { jsonFile } from './json-file'
import { kitFrom } from './kit-file'
import { onePath, parsedArgs, UsageError } from './usage'

/** What a kit promises: hours lost, hours of them on foot, and the chance of being stranded. */
export function promise(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { kit: { type: 'string' } } as const)
  if (values.kit === undefined) throw new UsageError('--kit is needed')
  const ledger = readLedger(jsonFile(onePath(positionals), 'a ledger document'))
  return new PromiseEvaluator(indexLedger(ledger)).evaluate(kitFrom(values.kit, ledger))
}
