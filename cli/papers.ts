import { catalogue } from '#catalogue'
import { papersOf } from '#core/papers'
import { Fault } from '#core/validation'
import { paperDocument, paperFormatSchema, sheetIds, type SheetId } from '#paper'
import { packedKit } from '#core/pack'
import { tripOfArgs } from './trip'
import { parsedArgs, UsageError, writeText } from './usage'

/** The papers to carry, as one page of HTML made for paper; without an identity card, which is in no trip. */
export function papers(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    html: { type: 'string' },
    paper: { type: 'string' },
    sheets: { type: 'string' },
    address: { type: 'string' },
    imperial: { type: 'boolean' },
  } as const)
  if (values.html === undefined) throw new UsageError('--html is needed')
  const format = paperFormatSchema.safeParse(values.paper ?? 'a4')
  if (!format.success) throw new Fault('--paper', `“${values.paper}”`, 'a4 or letter')
  const sheets = sheetsOf(values.sheets)
  const { trip, survey } = tripOfArgs(positionals)
  const { costs, laid, split, packs } = packedKit(trip, survey, catalogue)
  const gathered = papersOf(trip, catalogue, costs, laid, split.counts, packs)
  const page = paperDocument(
    gathered,
    { ...catalogue, bikes: trip.bikes },
    {
      format: format.data,
      sheets,
      system: values.imperial ? 'imperial' : 'metric',
      address: values.address ?? null,
      identity: null,
    },
  )
  writeText(values.html, page)
  return { html: values.html, sheets, bytes: Buffer.byteLength(page) }
}

/** The sheets asked for, such as "kit,tin"; all that are in a trip where none are. */
function sheetsOf(given: string | undefined): SheetId[] {
  const known: readonly SheetId[] = sheetIds.filter((id) => id !== 'identity')
  const asked = given?.split(',').map((id) => id.trim())
  const other = asked?.find((id) => !known.some((sheet) => sheet === id))
  if (other !== undefined) throw new Fault('--sheets', `“${other}”`, `some of ${known.join(', ')}`)
  return known.filter((id) => !asked || asked.includes(id))
}
