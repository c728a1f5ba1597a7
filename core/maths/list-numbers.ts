/** More lists than this would not be told apart. */
const mostNumbers = 2 ** 26

/** Gives every list of whole numbers a number of its own: equal lists have the same. */
export class ListNumbers {
  private readonly ofPairs = new Map<number, number>()

  /** The number of a list that begins like another and has one entry more. @param list 0 for the empty list */
  with(list: number, entry: number): number {
    const pair = list * mostNumbers + entry
    const known = this.ofPairs.get(pair)
    if (known !== undefined) return known
    const number = this.ofPairs.size + 1
    this.ofPairs.set(pair, number)
    return number
  }
}
