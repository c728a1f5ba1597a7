import { paperFormats, type PaperFormat } from './options'

/** Margins that every printer keeps, mm. */
export const marginMm = 13

/** Black on white, in the units of paper: what belongs together stays on one page. */
export function styleFor(format: PaperFormat): string {
  const { widthMm, heightMm } = paperFormats[format]
  return `
@page { size: ${widthMm}mm ${heightMm}mm; margin: ${marginMm}mm; }
* { box-sizing: border-box; }
html { font: 9.5pt/1.32 system-ui, sans-serif; color: #000; background: #fff; }
body { margin: 0 auto; max-width: ${widthMm - 2 * marginMm}mm; overflow-wrap: anywhere; }
h1 { font-size: 17pt; line-height: 1.15; margin: 0; }
h2 { font-size: 12pt; margin: 5mm 0 1.5mm; break-after: avoid; }
p { margin: 0 0 1.5mm; orphans: 2; widows: 2; }
.sheet { break-before: page; }
.sheet:first-of-type { break-before: auto; }
.head { display: flex; justify-content: space-between; align-items: flex-end; gap: 6mm; border-bottom: 0.5mm solid #000; padding-bottom: 2mm; }
.soft { color: #333; }
.num { text-align: right; white-space: nowrap; font-variant-numeric: tabular-nums; }
.keep { break-inside: avoid; }
table { width: 100%; border-collapse: collapse; }
thead { display: table-header-group; }
tr { break-inside: avoid; }
th { text-align: left; font-weight: 600; font-size: 8pt; border-bottom: 0.25mm solid #000; padding: 0.6mm 1.5mm 0.6mm 0; vertical-align: bottom; }
td { border-bottom: 0.15mm solid #999; padding: 0.9mm 1.5mm 0.9mm 0; vertical-align: top; }
.box { display: inline-block; width: 3.4mm; height: 3.4mm; border: 0.3mm solid #000; vertical-align: -0.4mm; }
.cards { columns: 2; column-gap: 5mm; }
.card { break-inside: avoid; border: 0.35mm solid #000; border-radius: 1.5mm; padding: 2.5mm 3mm; margin: 0 0 4mm; }
.card h2 { margin: 0 0 1mm; font-size: 10pt; }
.small { font-size: 8pt; line-height: 1.25; }
.caution { border-left: 0.8mm solid #000; padding-left: 2mm; margin-top: 1.2mm; }
.lines { list-style: none; margin: 0; padding: 0; }
.lines li { margin: 0 0 0.8mm; }
dl { display: grid; grid-template-columns: max-content 1fr; gap: 0.6mm 3mm; margin: 1mm 0; }
dt { font-weight: 600; }
dd { margin: 0; }
.bolts { columns: 3; column-gap: 4mm; border-top: 0.25mm solid #000; margin-top: 1.5mm; padding-top: 1mm; font-size: 6.8pt; }
.bolts li { display: grid; grid-template-columns: 1fr auto auto; gap: 1.5mm; border-bottom: 0.15mm solid #999; margin: 0; padding: 0.3mm 0; break-inside: avoid; }
.qr { width: 24mm; height: 24mm; flex: none; }
.foot { margin-top: 4mm; border-top: 0.15mm solid #999; padding-top: 1.2mm; }
@media screen { html { background: #fff; } body { padding: ${marginMm}mm; max-width: ${widthMm}mm; } .sheet { margin-bottom: 12mm; } }
`
}
