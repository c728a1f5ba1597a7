import type { Papers, StopLine } from '#core/papers'
import type { ServiceKind, SupplyFamily } from '#core/supply'
import { amountInWords, classInWords, kmInWords, momentInWords, stretchInWords, visitInWords } from '#wording'
import { html, type Html } from './html'
import { sheet, type Reading } from './sheet'

/** What names things of the catalogue. */
export interface Names {
  readonly services: readonly Pick<ServiceKind, 'id' | 'name'>[]
  readonly families: readonly SupplyFamily[]
}

/** Stops with their shops as they are found when one is there, and where each kind of part can be had. */
export const roadPages = (papers: Papers, names: Names, reading: Reading): Html =>
  sheet(
    papers,
    'Stops, shops and gaps',
    html`${stopsOf(papers.stops, names, reading)}${gapsOf(papers, names, reading)}`,
    reading,
  )

const serviceName = ({ services }: Names, id: string) => services.find((service) => service.id === id)?.name ?? id

const stopsOf = (stops: readonly StopLine[], names: Names, { system }: Reading): Html =>
  html` <h2>Stops</h2>
    ${stops.length === 0 ? html`<p>There are none yet.</p>` : null}
    <table>
      <thead>
        <tr>
          <th class="num" style="width:18mm">at</th>
          <th style="width:42mm">stop</th>
          <th style="width:24mm">there</th>
          <th>what it has, and how that is found then</th>
        </tr>
      </thead>
      <tbody>
        ${stops.map(
          (stop) =>
            html`<tr>
              <td class="num">${kmInWords(stop.roadKm, system)}</td>
              <td>
                ${stop.name}${stop.offRoadM > 0 ? html` <span class="small soft">${amountInWords(stop.offRoadM, 'height', system)} off the road</span>` : null}
              </td>
              <td>${stop.stay === null ? '' : momentInWords(stop.stay.arrives)}</td>
              <td>
                ${stop.services.map(
                  ({ kind, hours, visit }) =>
                    html`<div>
                      ${serviceName(names, kind)}${visit === null ? '' : `: ${visitInWords(visit)}`}${hours ? html` <span class="small soft">${hours}</span>` : null}
                    </div>`,
                )}${stop.bigWrench ? html`<div>a big wrench to borrow</div>` : null}
              </td>
            </tr>`,
        )}
      </tbody>
    </table>`

const gapsOf = ({ gaps }: Papers, { families }: Names, { system }: Reading): Html =>
  html` <h2>Where it can be had</h2>
    <table>
      <thead>
        <tr>
          <th style="width:40mm">part</th>
          <th>can be had at</th>
          <th style="width:60mm">not to be had</th>
        </tr>
      </thead>
      <tbody>
        ${gaps.map(
          ({ classId, places, gaps: without }) =>
            html`<tr>
              <td>${classInWords(classId, families)}</td>
              <td>
                ${places.length === 0 ? 'nowhere' : places.map(({ name, roadKm }) => `${name} (${kmInWords(roadKm, system)})`).join(', ')}
              </td>
              <td>${without.map(({ fromKm, toKm }) => stretchInWords(fromKm, toKm, system)).join(', ')}</td>
            </tr>`,
        )}
      </tbody>
    </table>
    <p class="foot small soft">
      Reckoned from what is known of each place; hours change. Ask ahead where much hangs on it.
    </p>`
