/** Hands a file that was made here over to be kept where files are kept. */
export function saveAs(file: Blob, name: string): void {
  const address = URL.createObjectURL(file)
  Object.assign(document.createElement('a'), { href: address, download: name }).click()
  setTimeout(() => URL.revokeObjectURL(address), keptMs)
}

/** By then the browser has fetched it. */
const keptMs = 10_000
