/** A trip's name as a file name that every system takes. */
export function fileNameFor(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase()
  return plain || 'trip'
}
