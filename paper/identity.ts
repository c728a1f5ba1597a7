import type { Identity } from '#core/identity'
import { html, type Html } from './html'
import type { Papers } from '#core/papers'
import { sheet, type Reading } from './sheet'

/** What each line of the card is called; what is empty is left out. */
const lines: readonly (readonly [keyof Identity, string])[] = [
  ['name', 'Name'],
  ['born', 'Born'],
  ['address', 'Address'],
  ['blood', 'Blood group'],
  ['allergies', 'Allergies'],
  ['medication', 'Medication'],
  ['conditions', 'To be known'],
  ['contact', 'Call in need'],
]

/** A card to carry on oneself: who one is, what a doctor should know, whom to call. */
export const identityPages = (papers: Papers, identity: Identity, reading: Reading): Html =>
  sheet(
    papers,
    'Who I am',
    html`<div class="card" style="max-width:95mm;margin-top:5mm">
        <dl>
          ${lines.map(([key, label]) =>
            identity[key] === ''
              ? null
              : html`<dt>${label}</dt>
                  <dd>${identity[key]}</dd>`,
          )}
        </dl>
      </div>
      <p class="foot small soft">
        Cut it out and carry it where others look: with the money, on the helmet, round the neck.
      </p>`,
    reading,
  )
