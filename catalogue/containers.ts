import { z } from 'zod'
import { storageSchema, type Storage } from '#core/bike'

/** Bags, tins and hollows to begin with; volumes, masses and minutes are planning values from memory: measure your own. */
const written: z.input<typeof storageSchema>[] = [
  { id: 'saddle-bag', name: 'Saddle bag, small', place: 'under the saddle', volumeMl: 500, fill: 0.85, longestMm: 160, keepsDry: false, reachMin: 0.7, massG: 65 },
  { id: 'saddle-bag-large', name: 'Saddle bag, large', place: 'under the saddle', volumeMl: 1000, fill: 0.85, longestMm: 200, keepsDry: false, reachMin: 0.7, massG: 95 },
  { id: 'tool-roll', name: 'Tool roll', place: 'under the saddle', volumeMl: 700, fill: 0.85, longestMm: 220, keepsDry: false, reachMin: 1, opening: 'rolls out', massG: 80 },
  { id: 'seat-pack', name: 'Seat pack, clothes in it', place: 'behind the saddle', volumeMl: 12000, fill: 0.9, otherMl: 9800, longestMm: 450, reachMin: 4, massG: 380 },
  { id: 'cage-tin', name: 'Tin in a bottle cage', place: 'in a bottle cage', volumeMl: 650, fill: 0.9, longestMm: 190, upright: true, reachMin: 0.5, massG: 75 },
  { id: 'down-tube-tin', name: 'Tin under the down tube', place: 'under the down tube', volumeMl: 700, fill: 0.9, longestMm: 200, upright: true, reachMin: 0.8, massG: 78 },
  { id: 'half-frame-bag', name: 'Frame bag, half, food in it', place: 'in the frame', volumeMl: 3000, fill: 0.85, otherMl: 1400, longestMm: 420, keepsDry: false, reachMin: 0.3, opening: 'wide', massG: 160 },
  { id: 'full-frame-bag', name: 'Frame bag, whole, food and layers in it', place: 'in the frame', volumeMl: 5500, fill: 0.85, otherMl: 3200, longestMm: 460, keepsDry: false, reachMin: 0.3, opening: 'wide', massG: 240 },
  { id: 'top-tube-bag', name: 'Top-tube bag, in front', place: 'on the top tube, in front', volumeMl: 900, fill: 0.85, otherMl: 450, longestMm: 220, keepsDry: false, reachMin: 0.1, opening: 'wide', massG: 90 },
  { id: 'rear-top-tube-bag', name: 'Top-tube bag, behind', place: 'on the top tube, behind', volumeMl: 600, fill: 0.85, longestMm: 190, keepsDry: false, reachMin: 0.2, opening: 'wide', massG: 70 },
  { id: 'handlebar-bag', name: 'Handlebar bag, layers in it', place: 'on the handlebar', volumeMl: 3000, fill: 0.85, otherMl: 1900, longestMm: 260, keepsDry: false, reachMin: 0.2, opening: 'wide', massG: 280 },
  { id: 'fork-bag', name: 'Bag on the fork', place: 'on the fork', volumeMl: 4000, fill: 0.9, otherMl: 2600, longestMm: 320, upright: true, reachMin: 1.5, massG: 190 },
  { id: 'pannier-pocket', name: 'Pocket of a pannier', place: 'pannier', volumeMl: 1500, fill: 0.85, longestMm: 300, keepsDry: false, upright: true, reachMin: 0.3, opening: 'wide', massG: 120 },
  { id: 'pannier', name: 'Pannier, clothes in it', place: 'pannier', volumeMl: 18000, fill: 0.9, otherMl: 14000, longestMm: 420, upright: true, reachMin: 2.5, massG: 850 },
  { id: 'rack-bag', name: 'Bag on the rack', place: 'on the rack', volumeMl: 6000, fill: 0.9, otherMl: 4000, longestMm: 350, reachMin: 1.5, opening: 'wide', massG: 500 },
  { id: 'steerer', name: 'Inside the steerer', place: 'in the steerer', volumeMl: 70, fill: 0.7, longestMm: 160, boreMm: 22, upright: true, reachMin: 0.8, massG: 22 },
  { id: 'bar-end', name: 'Inside a handlebar end', place: 'in a handlebar end', volumeMl: 35, fill: 0.8, longestMm: 110, boreMm: 18, reachMin: 0.4, massG: 8 },
  { id: 'seat-tube', name: 'Inside the seat tube, below the post', place: 'in the seat tube', volumeMl: 120, fill: 0.7, longestMm: 310, boreMm: 25, reachMin: 6 },
  { id: 'along-the-stay', name: 'Taped along a stay', place: 'strapped to the frame', volumeMl: 60, fill: 1, longestMm: 400, boreMm: 6, keepsDry: false, reachMin: 2, opening: 'rolls out', massG: 3 },
  { id: 'straps', name: 'Strapped to the frame', place: 'strapped to the frame', volumeMl: 1200, fill: 1, longestMm: 400, keepsDry: false, reachMin: 0.5, opening: 'rolls out', massG: 26 },
  { id: 'pump-clip', name: 'Clip beside a bottle cage', place: 'strapped to the frame', volumeMl: 350, fill: 1, longestMm: 340, keepsDry: false, reachMin: 0.2, opening: 'rolls out', massG: 14 },
  { id: 'pocket', name: 'Pocket of a jersey', place: 'on the rider', volumeMl: 600, fill: 0.7, otherMl: 200, longestMm: 150, keepsDry: false, reachMin: 0.1 },
]

export const containers: Storage[] = z.array(storageSchema).parse(written)

/** Bags that usually go together, to begin with. */
export const bagSets: readonly { readonly name: string; readonly bags: readonly string[] }[] = [
  { name: 'Bags strapped on', bags: ['half-frame-bag', 'seat-pack', 'top-tube-bag'] },
  { name: 'Panniers', bags: ['pannier', 'pannier-pocket', 'handlebar-bag'] },
  { name: 'Only a saddle bag', bags: ['saddle-bag-large'] },
]
