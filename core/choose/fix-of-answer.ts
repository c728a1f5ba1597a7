/** The fix that an answer of a ledger is one way of: what comes after an @ says with which stock, or where. */
export const fixOfAnswer = (answer: string): string => answer.split('@')[0]!
