import textTable from 'text-table'

/** Rows as a table for people, under a line of headings. */
export function table(headings: string[], rows: string[][], rightAligned: readonly number[] = []): string {
  const align = headings.map((_, column) => (rightAligned.includes(column) ? 'r' : 'l'))
  return `${textTable([headings, ...rows], { align })}\n`
}

export const rounded = (value: number, digits: number) => Number(value.toFixed(digits))
