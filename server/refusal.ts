/** What was given cannot be taken: each line says where, what, and what would do. */
export class Refusal extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join('\n'))
    this.name = 'Refusal'
  }
}
