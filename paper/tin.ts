import type { Papers, TinCard } from '#core/papers'
import { amountInWords, driveInWords, pressureLimitWords, rangeInWords } from '#wording'
import { html, type Html } from './html'
import { sheet, type Reading } from './sheet'

/** A card for each bike, to lie in its tin: pressures, sizes of every spare, torques. */
export const tinPages = (papers: Papers, reading: Reading): Html =>
  sheet(
    papers,
    'Cards for the tin',
    html`<div style="margin-top:4mm">${papers.tins.map((tin) => cardOf(tin, reading))}</div>
      <p class="foot small soft">
        Pressures and torques are planning values until somebody has read the maker’s: the maker’s manual has the last
        word. Carbon wants a torque key.
      </p>`,
    reading,
  )

const brakeWords: Record<TinCard['brakes']['brakes'], string> = {
  rim: 'on the rim',
  'cable-disc': 'disc, by cable',
  'hydraulic-disc': 'disc, hydraulic',
}
const gearWords: Record<TinCard['gears']['gears'], string> = {
  derailleur: 'derailleur',
  hub: 'in the hub',
  single: 'single speed',
}
const cableWords: Record<TinCard['cables'][number]['cable'], string> = {
  frontBrakeMm: 'front brake',
  rearBrakeMm: 'rear brake',
  frontShiftMm: 'front gears',
  rearShiftMm: 'rear gears',
}
const pedalWords: Record<TinCard['pedals'], string> = {
  flat: 'flat',
  'two-bolt': 'two-bolt cleats',
  'three-bolt': 'three-bolt cleats',
}

function cardOf(tin: TinCard, { system }: Reading): Html {
  const { gears, brakes, chain } = tin
  const pressure = (bar: number) => amountInWords(bar, 'pressure', system)
  const tyre = ({ size, isTubeless, bar, limit }: TinCard['tyres'][number]) =>
    `${size}${isTubeless ? ', tubeless' : ''}: ${pressure(bar)}${limit ? `; never above ${pressure(limit.bar)}: ${pressureLimitWords[limit.setBy]}` : ''}`
  const spoke = ({ place, mm, isMeasured }: TinCard['spokes'][number]) =>
    `${place} ${mm} mm${isMeasured ? '' : ' (calculated)'}`
  return html` <div class="card small">
    <h2>${tin.bike}</h2>
    <dl>
      ${tin.tyres.map(
        (each) =>
          html`<dt>${each.wheel} tyre</dt>
            <dd>${tyre(each)}</dd>`,
      )}
      <dt>valves</dt>
      <dd>${tin.valve === 'presta' ? 'Presta' : 'Schrader'}</dd>
      <dt>spokes</dt>
      <dd>${tin.spokes.map(spoke).join('; ')}</dd>
      <dt>gears</dt>
      <dd>
        ${gearWords[gears.gears]}, ${gears.speeds}-speed; ${gears.chainrings.join('/')} by ${gears.sprockets.join('-')}
      </dd>
      <dt>chain</dt>
      <dd>${chain.links} links${chain.isCounted ? '' : ' (calculated)'}, link for ${gears.speeds}-speed</dd>
      ${
        gears.gears === 'derailleur'
          ? html`<dt>hanger</dt>
              <dd>${gears.hangerOfFrame ? 'part of the frame' : `shape ${gears.hanger.toUpperCase()}`}</dd>`
          : null
      }
      <dt>brakes</dt>
      <dd>${brakeWords[brakes.brakes]}; pads shape ${brakes.padShape.toUpperCase()}, ${brakes.padCompound}</dd>
      ${
        tin.cables.length > 0
          ? html`<dt>inner cables</dt>
              <dd>${tin.cables.map(({ cable, mm }) => `${cableWords[cable]} ${mm} mm at least`).join('; ')}</dd>`
          : null
      }
      <dt>pedals</dt>
      <dd>${pedalWords[tin.pedals]}</dd>
    </dl>
    ${tin.bolts.length > 0 ? boltsOf(tin, system) : null}
  </div>`
}

const boltsOf = ({ bolts }: TinCard, system: Reading['system']): Html => html`
  <ul class="lines bolts">
    ${bolts.map(
      ({ name, count, drive, torqueNm, wantsTorqueKey }) =>
        html`<li>
          <span>${name}${count > 1 ? `, ${count} of them` : ''}</span
          ><span class="soft">${driveInWords(drive)}${wantsTorqueKey ? ', torque key' : ''}</span
          ><span class="num">${rangeInWords(torqueNm.least, torqueNm.most, 'torque', system)}</span>
        </li>`,
    )}
  </ul>
`
