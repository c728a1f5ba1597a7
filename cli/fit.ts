import { catalogue } from '#catalogue'
import { strongestHandN } from '#core/crew'
import {
  crewFit,
  readDrive,
  readHead,
  itemsThatTurn,
  toolsOn,
  turnWith,
  defaultHandN,
  type ToolHead,
  type FastenerFit,
} from '#core/fit'
import { fitReasonWords, headInWords, driveInWords } from '#wording'
import { rounded, table } from './text'
import { tripDocument } from './trip'
import { numberOption, UsageError, parsedArgs } from './usage'

/** Every fastener of the trip's bikes against every head on its bench, and the heads that turn nothing. */
export function fits(args: string[]): unknown {
  const { trip, text } = tripDocument(args)
  const tools = toolsOn(trip.bench)
  const handMostN = strongestHandN(trip)
  const { fasteners, idle } = crewFit(trip.bikes, tools, handMostN)
  const nameOf = (end: ToolHead) => trip.bench.find(({ id }) => id === end.tool.id)?.name ?? end.tool.id
  const cover = (fit: FastenerFit) =>
    fit.coverage === 'turned' ? undefined : itemsThatTurn(fit.fastener, tools, catalogue.items, handMostN)[0]
  if (text) {
    const rows = fasteners.map((fit) => {
      const { bike, fastener, best, coverage } = fit
      const by = best && coverage === 'turned' ? `${nameOf(best)}, ${headInWords(best.head)}` : ''
      const item = cover(fit)
      const why = coverage === 'waits' ? fastener.canWait : reasonOf(fit)
      return [
        bike,
        fastener.name,
        driveInWords(fastener.drive),
        coverage,
        by || (item ? `would: ${item.name}` : ''),
        why,
      ]
    })
    return table(['bike', 'fastener', 'drive', 'is', 'with', 'why'], rows)
  }
  return {
    fasteners: fasteners.map((fit) => {
      const { bike, fastener, best, coverage } = fit
      const item = cover(fit)
      return {
        bike,
        fastener: fastener.id,
        verdict: fastener.drive.profile === 'by-hand' ? 'turns' : (best?.verdict ?? 'cannot'),
        tool: best?.tool.id ?? null,
        head: best ? headInWords(best.head) : null,
        second: best?.second ? { tool: best.second.tool.id, head: headInWords(best.second.head) } : null,
        reason: reasonOf(fit),
        handN: best?.handN === null || best?.handN === undefined ? null : rounded(best.handN, 0),
        coverage,
        wouldTurn: item ? { item: item.id, massG: item.massG } : null,
      }
    }),
    idle: idle.map((end) => ({ tool: end.tool.id, head: headInWords(end.head) })),
  }
}

function reasonOf({ best, fastener }: FastenerFit): string {
  if (fastener.drive.profile === 'by-hand') return fitReasonWords['by-hand']
  return best ? fitReasonWords[best.reason] : 'no tool on the bench'
}

/** One fastener and one head. */
export function fit(args: string[]): unknown {
  const { values, positionals } = parsedArgs(args, {
    fastener: { type: 'string' },
    torque: { type: 'string' },
    'recess-mm': { type: 'string' },
    'room-mm': { type: 'string' },
    'swing-deg': { type: 'string' },
    'gap-mm': { type: 'string' },
    'open-end-only': { type: 'boolean' },
    head: { type: 'string' },
    'lever-mm': { type: 'string' },
    'reach-mm': { type: 'string' },
    'body-mm': { type: 'string' },
    'thick-mm': { type: 'string' },
    spins: { type: 'boolean' },
    'hand-n': { type: 'string' },
  } as const)
  if (positionals.length > 0) throw new UsageError(`“${positionals[0]}” is not expected here`)
  if (values.fastener === undefined) throw new UsageError('--fastener is needed')
  if (values.head === undefined) throw new UsageError('--head is needed')
  const measure = (name: 'lever-mm' | 'reach-mm' | 'body-mm' | 'thick-mm', most: number) =>
    values[name] === undefined ? undefined : numberOption(values[name], name, 0, most)
  const head = readHead(values.head, '--head', {
    leverMm: measure('lever-mm', 1000),
    reachMm: measure('reach-mm', 500),
    bodyMm: measure('body-mm', 200),
    thickMm: measure('thick-mm', 60),
    spins: values.spins ?? false,
  })
  const { verdict, reason, handN } = turnWith(head, {
    drive: readDrive(values.fastener, '--fastener'),
    handMostN: numberOption(values['hand-n'] ?? String(defaultHandN), 'hand-n', 50, 1500),
    torqueNm: numberOption(values.torque ?? '0', 'torque', 0, 300),
    recessMm: numberOption(values['recess-mm'] ?? '0', 'recess-mm', 0, 400),
    roomMm: numberOption(values['room-mm'] ?? '100', 'room-mm', 1, 500),
    swingDeg: numberOption(values['swing-deg'] ?? '360', 'swing-deg', 5, 360),
    openEndOnly: values['open-end-only'] ?? false,
    gapMm: values['gap-mm'] === undefined ? null : numberOption(values['gap-mm'], 'gap-mm', 1, 60),
  })
  return { verdict, reason: fitReasonWords[reason], handN: handN === null ? null : rounded(handN, 0) }
}
