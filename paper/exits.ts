import type { Papers } from '#core/papers'
import { hoursInWords, kmInWords, momentInWords } from '#wording'
import { html, type Html } from './html'
import { sheet, type Reading } from './sheet'

/** Where the ride can be left, and by what. */
export function exitPages(papers: Papers, reading: Reading): Html {
  const exits = papers.stops.filter(({ exit }) => exit !== null)
  const body = html` ${exits.length === 0 ? html`<p style="margin-top:4mm">No stop is known from which the ride can be left.</p>` : null}
    <table style="margin-top:4mm">
      <thead>
        <tr>
          <th class="num" style="width:18mm">at</th>
          <th>stop</th>
          <th>by</th>
          <th>there</th>
          <th class="num">wait, in the mean</th>
        </tr>
      </thead>
      <tbody>
        ${exits.map(
          ({ name, roadKm, exit, exitWaitH, stay }) =>
            html`<tr>
              <td class="num">${kmInWords(roadKm, reading.system)}</td>
              <td>${name}</td>
              <td>${exit}</td>
              <td>${stay === null ? '' : momentInWords(stay.arrives)}</td>
              <td class="num">${exitWaitH > 0 ? hoursInWords(exitWaitH) : ''}</td>
            </tr>`,
        )}
      </tbody>
    </table>
    <p class="foot small soft">
      Timetables change, and not every bus takes a bicycle: ask. In need call the emergency number of the country you
      are in.
    </p>`
  return sheet(papers, 'Ways out', body, reading)
}
