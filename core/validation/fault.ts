/**
 * One thing wrong with what was given: where, what was found, and what would
 * be understood. Its message is the single line shown to people.
 */
export class Fault extends Error {
  constructor(
    readonly where: string,
    /** Null where it is nobody's business. */
    readonly found: string | null,
    readonly expected: string,
  ) {
    super(`${where}: ${found === null ? '' : `${found}; `}expected ${expected}`)
    this.name = 'Fault'
  }
}

/** Several faults found in one document. */
export class Faults extends Error {
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((fault) => fault.message).join('\n'))
    this.name = 'Faults'
  }
}
