import type { KitLine, KitSheet, Papers } from '#core/papers'
import { cureWords, gramsInWords } from '#wording'
import { html, type Html } from './html'
import { sheet, type Reading } from './sheet'

/** The kit by bike and bag, with boxes to tick. */
export function kitPages(papers: Papers, reading: Reading, qr: Html | null): Html {
  const { kits } = papers
  const all = kits.reduce((sum, { massG }) => sum + massG, 0)
  const body = html` ${kits.length === 0 ? html`<p>There is no kit yet.</p>` : kits.map((kit) => kitOf(kit, reading))}
    ${kits.length > 1 ? html`<h2>All together: ${gramsInWords(all, reading.system)}</h2>` : null}
    <p class="foot small soft">
      Each bag is listed from its opening downwards. What may leak or rub is packed as it says.
    </p>`
  return sheet(papers, 'The kit', body, reading, qr)
}

const kitOf = ({ bike, riders, places, loose, massG }: KitSheet, reading: Reading): Html =>
  html` <h2>${bike}${riders.length > 0 ? `, ${riders.join(' and ')}` : ''}: ${gramsInWords(massG, reading.system)}</h2>
    ${places.map(({ name, lines, massG: inIt }) => linesOf(name, lines, inIt, reading))}
    ${
      loose.length > 0
        ? linesOf(
            'In no bag',
            loose,
            loose.reduce((sum, line) => sum + line.massG, 0),
            reading,
          )
        : null
    }`

const linesOf = (name: string, lines: readonly KitLine[], massG: number, { system }: Reading): Html =>
  html` <table>
    <thead>
      <tr>
        <td style="width:6mm"></td>
        <th>${name}</th>
        <td class="num" style="width:14mm"></td>
        <th class="num" style="width:20mm">${gramsInWords(massG, system)}</th>
      </tr>
    </thead>
    <tbody>
      ${lines.map(
        (line) =>
          html`<tr>
            <td><span class="box"></span></td>
            <td>${line.name}${howOf(line)}</td>
            <td class="num">${line.count > 1 ? `${line.count} ×` : ''}</td>
            <td class="num">${gramsInWords(line.massG, system)}</td>
          </tr>`,
      )}
    </tbody>
  </table>`

function howOf({ cures, on }: KitLine): Html | null {
  const how = [...(on === null ? [] : [`on or in ${on}`]), ...cures.map((cure) => cureWords[cure])]
  return how.length > 0 ? html` <span class="small soft">${how.join(', ')}</span>` : null
}
