/** Of letters that cannot be measured, one is thought to be so broad, as a share of their height. */
const usualShare = 0.55

let pen: CanvasRenderingContext2D | null | undefined

function widthOf(text: string, px: number): number {
  pen ??= document.createElement('canvas').getContext('2d')
  if (!pen) return text.length * px * usualShare
  pen.font = `${px}px 'Archivo Variable', sans-serif`
  return pen.measureText(text).width
}

/**
 * A text that is no broader than so many pixels; cut, with a mark of that, where it was.
 *
 * @param px height of the letters
 */
export function cutToWidth(text: string, px: number, mostPx: number): string {
  if (widthOf(text, px) <= mostPx) return text
  let letters = text.length - 1
  while (letters > 0 && widthOf(`${text.slice(0, letters)}…`, px) > mostPx) letters--
  return `${text.slice(0, letters)}…`
}
