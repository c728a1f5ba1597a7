/** Lets work be done one after another, in the order in which it was asked for. */
export class TaskQueue {
  private last: Promise<unknown> = Promise.resolve()

  add<T>(work: () => Promise<T>): Promise<T> {
    const mine = this.last.then(work)
    this.last = mine.catch(() => undefined)
    return mine
  }
}
