/** A verdict in a word, with how many where it is more than one: "take 2", "leave", "buy" of what is bought on the way. */
export function verdictInWords(count: number, isBought = false): string {
  if (count === 0) return 'leave'
  const word = isBought ? 'buy' : 'take'
  return count > 1 ? `${word} ${count}` : word
}
