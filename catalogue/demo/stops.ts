import { z } from 'zod'
import { stopSchema, type Stop } from '#core/supply'

const weekdays = 'Mo-Fr 09:00-18:00; Sa 09:00-13:00'
const daily = 'Mo-Su 07:00-21:00'

const written: z.input<typeof stopSchema>[] = [
  { id: 'pell-harbour', name: 'Pell Harbour', roadKm: 0, exit: 'ferry', exitWaitH: 10, services: [{ kind: 'bike-shop', hours: weekdays }, { kind: 'supermarket', hours: daily }, { kind: 'bed' }] },
  { id: 'low-stannet', name: 'Low Stannet', roadKm: 38, services: [{ kind: 'fuel-station', hours: '24/7' }, { kind: 'water' }] },
  { id: 'quillby', name: 'Quillby', roadKm: 71, offRoadM: 300, exit: 'bus', exitWaitH: 6, services: [{ kind: 'bike-shop', hours: 'Tu-Fr 10:00-18:00; Sa 10:00-14:00' }, { kind: 'supermarket', hours: daily }, { kind: 'bed' }] },
  { id: 'hobs-garth', name: 'Hobs Garth', roadKm: 118, services: [{ kind: 'bed' }, { kind: 'water' }], note: 'A bothy with a spring; no signal.' },
  { id: 'grindle-pass', name: 'Grindle Pass hut', roadKm: 152, offRoadM: 150, services: [{ kind: 'bed', hours: 'Jun-Sep Mo-Su 00:00-24:00' }, { kind: 'water' }] },
  { id: 'ferrow', name: 'Ferrow', roadKm: 196, offRoadM: 900, exit: 'bus', exitWaitH: 6, services: [{ kind: 'supermarket', hours: 'Mo-Sa 08:00-19:00' }, { kind: 'post', hours: 'Mo-Fr 09:00-12:00,14:00-17:00' }, { kind: 'bed' }] },
  { id: 'tarn-ings', name: 'Tarn Ings', roadKm: 243, services: [{ kind: 'fuel-station', hours: 'Mo-Su 06:00-22:00' }, { kind: 'bed' }] },
  { id: 'sallow-mill', name: 'Sallow Mill', roadKm: 271, offRoadM: 1200, bigWrench: true, services: [{ kind: 'workshop', knownFrom: 'hearsay', hours: 'Mo-Fr 08:00-17:00', stocks: { patch: 0.8 } }, { kind: 'water' }], note: 'The smith has a big wrench and a vice.' },
  { id: 'brannock', name: 'Brannock', roadKm: 311, bigWrench: true, exit: 'train', exitWaitH: 3, services: [{ kind: 'bike-shop', knownFrom: 'asked', hours: weekdays, stocks: { 'hanger-k3': 0.1 } }, { kind: 'hardware-store', hours: weekdays }, { kind: 'supermarket', hours: daily }, { kind: 'post', hours: 'Mo-Fr 09:00-17:00' }, { kind: 'bed' }] },
  { id: 'ashmere', name: 'Ashmere', roadKm: 352, services: [{ kind: 'supermarket', hours: 'Mo-Sa 08:00-20:00' }, { kind: 'water' }] },
  { id: 'corrie-lathe', name: 'Corrie Lathe', roadKm: 397, offRoadM: 400, services: [{ kind: 'bed' }, { kind: 'water' }] },
  { id: 'hollin-pass', name: 'Hollin Pass shelter', roadKm: 428, services: [{ kind: 'water' }], note: 'Stone shelter, no door.' },
  { id: 'nether-cray', name: 'Nether Cray', roadKm: 466, exit: 'bus', exitWaitH: 6, services: [{ kind: 'hardware-store', hours: weekdays }, { kind: 'fuel-station', hours: daily }, { kind: 'bed' }] },
  { id: 'saltmoor', name: 'Saltmoor', roadKm: 521, offRoadM: 250, services: [{ kind: 'workshop', hours: 'Mo-Sa 08:00-16:00' }, { kind: 'supermarket', hours: daily }] },
  { id: 'wick-tarrant', name: 'Wick Tarrant', roadKm: 549, exit: 'train', exitWaitH: 3, services: [{ kind: 'bike-shop', hours: 'Tu-Sa 09:30-18:00' }, { kind: 'outdoor-shop', hours: weekdays }, { kind: 'bed' }] },
  { id: 'skerry-point', name: 'Skerry Point', roadKm: 619, exit: 'ferry', exitWaitH: 10, services: [{ kind: 'supermarket', hours: daily }, { kind: 'bed' }] },
]

/** Places on the invented road: 240 km lie between the bike shops of Quillby and Brannock. */
export const demoStops: Stop[] = z.array(stopSchema).parse(written)
