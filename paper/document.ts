import type { Identity } from '#core/identity'
import type { Papers } from '#core/papers'
import { exitPages } from './exits'
import { Html, html } from './html'
import { identityPages } from './identity'
import { kitPages } from './kit'
import { mendPages, type MendNames } from './mend'
import type { PaperFormat, SheetId } from './options'
import { qrCode } from './qr'
import { roadPages, type Names } from './road'
import type { Reading } from './sheet'
import { styleFor } from './style'
import { tinPages } from './tin'

/** What is printed, and how. */
export interface Printing extends Reading {
  readonly format: PaperFormat
  readonly sheets: readonly SheetId[]
  /** Where the trip can be opened, for the code on the first sheet; nothing where it has no address. */
  readonly address: string | null
  /** The card of whoever prints; nothing where they did not ask for it. */
  readonly identity: Identity | null
}

/** The papers of a ride as one page of HTML, made for paper: no furniture, no script, nothing fetched. */
export function paperDocument(papers: Papers, names: Names & MendNames, printing: Printing): string {
  const { format, sheets, address, identity } = printing
  const has = (id: SheetId) => sheets.includes(id)
  const pages = [
    has('kit') ? kitPages(papers, printing, address === null ? null : qrCode(address)) : null,
    has('tin') ? tinPages(papers, printing) : null,
    has('road') ? roadPages(papers, names, printing) : null,
    has('exits') ? exitPages(papers, printing) : null,
    has('mend') ? mendPages(papers, names, printing) : null,
    has('identity') && identity ? identityPages(papers, identity, printing) : null,
  ]
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <title>${papers.name}: papers</title>
        <style>
          ${new Html(styleFor(format))}
        </style>
      </head>
      <body>
        ${pages}
      </body>
    </html>`.text
}
