import { create } from 'qrcode'
import { Html } from './html'

/** Modules of white round a code, as ISO/IEC 18004 asks. */
const quiet = 4

/**
 * A QR code (ISO/IEC 18004) as a drawing, of middle error correction: it is read with a corner dirty or folded.
 *
 * @param text at most some 2000 characters
 */
export function qrCode(text: string): Html {
  const { modules } = create(text, { errorCorrectionLevel: 'M' })
  const side = modules.size + 2 * quiet
  const dark = Array.from(modules.data).flatMap((isDark, i) =>
    isDark ? [`M${(i % modules.size) + quiet} ${Math.floor(i / modules.size) + quiet}h1v1h-1z`] : [],
  )
  return new Html(
    `<svg class="qr" viewBox="0 0 ${side} ${side}" shape-rendering="crispEdges" role="img" aria-label="QR code"><path d="${dark.join('')}"/></svg>`,
  )
}
