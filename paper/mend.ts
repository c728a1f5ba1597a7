import type { FailureCard, FixOnCard, Papers, ThingTaken } from '#core/papers'
import { cautionsOf, type Fix } from '#core/fix'
import type { Hazard } from '#core/hazard'
import type { Bike } from '#core/bike'
import { hoursInWords, timesInWords } from '#wording'
import { html, type Html } from './html'
import { sheet, type Reading } from './sheet'

/** What names failures and what mends them. */
export interface MendNames {
  readonly hazards: readonly Pick<Hazard, 'id' | 'name' | 'caution'>[]
  readonly fixes: readonly Pick<Fix, 'id' | 'name' | 'dangers' | 'caution' | 'grade'>[]
  readonly bikes: readonly Pick<Bike, 'id' | 'name'>[]
}

/** Cards for the failures that count most: what the kit has for them, where it is packed, and what to mind. */
export const mendPages = (papers: Papers, names: MendNames, reading: Reading): Html =>
  sheet(
    papers,
    'What to do when it fails',
    html`<p style="margin-top:3mm" class="soft">
        First get off the road and into shelter, and put on something warm. The ways stand in the order in which the kit
        serves for them.
      </p>
      <div class="cards">${papers.failures.map((card) => cardOf(card, names))}</div>
      <p class="foot small soft">
        No more than reminders: the makers’ manuals have the last word. Brakes, steering and frame: if in doubt, walk.
      </p>`,
    reading,
  )

function cardOf({ hazard, bikeId, times, fixes }: FailureCard, names: MendNames): Html {
  const failed = names.hazards.find(({ id }) => id === hazard)
  const bike = names.bikes.find(({ id }) => id === bikeId)
  const cautions = new Set([
    ...(failed?.caution ? [failed.caution] : []),
    ...fixes.flatMap(({ fix }) => names.fixes.filter(({ id }) => id === fix).flatMap(cautionsOf)),
  ])
  return html` <div class="card">
    <h2>${capital(failed?.name ?? hazard)}</h2>
    <div class="small soft">${bike?.name ?? bikeId}, ${timesInWords(times)}</div>
    ${[...cautions].map((caution) => html`<div class="small caution">${caution}</div>`)}
    ${
      fixes.length === 0
        ? html`<p>The kit has nothing for it: limp, or walk to help.</p>`
        : html`<ol style="margin:1.5mm 0 0;padding-left:5mm">
            ${fixes.map((fix) => fixOn(fix, names))}
          </ol>`
    }
  </div>`
}

function fixOn({ fix, minutes, things }: FixOnCard, { fixes }: MendNames): Html {
  const known = fixes.find(({ id }) => id === fix)
  const holds =
    known && known.grade !== 'lasting'
      ? `, holds ${known.grade === 'walking pace' ? 'at walking pace' : known.grade}`
      : ''
  return html`<li>
    <strong>${capital(known?.name ?? fix)}</strong>
    <span class="small soft">${hoursInWords(minutes / 60)}${holds}</span>
    ${things.map((thing) => html`<div class="small">${thingIn(thing)}</div>`)}
  </li>`
}

const thingIn = ({ name, where }: ThingTaken): string =>
  where === null ? name : `${name}: ${where.place}, ${where.bike}`

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
