import { mostChangeLines, type ChangeLine, type Changes } from '#core/access'

/** One save of a trip. */
export interface PastSave extends Changes {
  readonly at: string
  /** Whose it was; empty where their account was closed since. */
  readonly by: string
}

/** Saves of one person that lie no further apart are told as one: a dial that is turned is saved again and again. */
const togetherMs = 15 * 60_000

/** Saves as people tell them, the latest first: what one person did in a while is one entry, each thing in it once. */
export function savesTogether(saves: readonly PastSave[]): PastSave[] {
  const told: PastSave[] = []
  let earliest = Infinity
  for (const save of saves) {
    const at = new Date(save.at).getTime()
    const last = told.at(-1)
    if (last?.by === save.by && earliest - at <= togetherMs) told[told.length - 1] = merged(last, save)
    else told.push(save)
    earliest = at
  }
  return told
}

function merged(later: PastSave, earlier: PastSave): PastSave {
  const lines = earlier.lines.reduce<readonly ChangeLine[]>((done, line) => withLine(done, line), later.lines)
  const shown = [...lines.slice(0, mostChangeLines)]
  return { ...later, lines: shown, more: later.more + earlier.more + lines.length - shown.length }
}

/** @param lines of later saves, to which one of an earlier save is added */
function withLine(lines: readonly ChangeLine[], line: ChangeLine): readonly ChangeLine[] {
  const known = lines.find(({ part, name }) => part === line.part && name === line.name)
  if (!known) return [...lines, line]
  // What was added and then changed was added; what was changed and then removed was removed.
  const how = line.how === 'added' && known.how === 'changed' ? 'added' : known.how
  const fields = how === 'changed' ? [...new Set([...known.fields, ...line.fields])] : []
  return lines.map((each) => (each === known ? { ...known, how, fields } : each))
}
