/** A piece of a page, safe to be put into another. */
export class Html {
  constructor(readonly text: string) {}
}

const entities: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}
const escaped = (text: string) => text.replace(/[&<>"']/g, (mark) => entities[mark] ?? mark)

type Piece = Html | string | number | null | readonly Piece[]

function textOf(piece: Piece): string {
  if (piece === null) return ''
  if (piece instanceof Html) return piece.text
  if (typeof piece === 'object') return piece.map(textOf).join('')
  return escaped(String(piece))
}

/** Puts pieces into a page: what is no piece of a page itself is text, whatever it holds. */
export const html = (strings: TemplateStringsArray, ...pieces: readonly Piece[]): Html =>
  new Html(strings.reduce((page, string, i) => page + textOf(pieces[i - 1] ?? null) + string))
