import { catalogue } from '#catalogue'
import { packedKit, type PackedLayer, type PackPlan } from '#core/pack'
import type { Trip } from '#core/trip'
import { defined, nth } from '#core/validation'
import { cureWords, hoursInWords, noRoomInWords } from '#wording'
import { rounded, table } from './text'
import { tripFrom } from './trip'

/** Where each piece of the best kit is packed, on the bike of whoever carries it, and what that costs. */
export function pack(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const { packs: plans } = packedKit(trip, survey, catalogue)
  return text ? plans.map((plan) => inText(plan, trip)).join('\n') : plans.map((plan) => inJson(plan, trip))
}

const inJson = ({ bikeId, places, out, costs }: PackPlan, { bench }: Trip) => ({
  bikeId,
  places: places.map(({ layers, usedMl, roomMl, ...place }) => ({
    ...place,
    usedMl: rounded(usedMl, 1),
    roomMl: rounded(roomMl, 1),
    layers: layers.map(({ thing, on, times, accessH, ...layer }) => ({
      ...layer,
      thing: nth(bench, thing).id,
      on: on === null ? null : nth(bench, on).id,
      times: rounded(times, 4),
      accessH: rounded(accessH, 4),
    })),
  })),
  out: out.map(({ thing, bags, ...left }) => ({
    ...left,
    thing: nth(bench, thing).id,
    bags: bags.map(({ bag, hours }) => ({ bag: bag.id, hours: rounded(hours, 4) })),
  })),
  costs: Object.fromEntries(Object.entries<number>({ ...costs }).map(([name, cost]) => [name, rounded(cost, 4)])),
})

function inText({ bikeId, places, out, costs }: PackPlan, { bikes, bench }: Trip): string {
  const bike = defined(bikes.find(({ id }) => id === bikeId))
  const bagOf = (id: string) => defined(bike.storage.find((place) => place.id === id))
  const rows = places.flatMap(({ storageId, usedMl, roomMl, layers }) => [
    [bagOf(storageId).name, '', '', `${Math.round(usedMl)} of ${Math.round(roomMl)} mL`],
    ...layers.map((layer) => [
      '',
      `${layer.count}`,
      layer.times > 0 ? `${rounded(layer.times, 2)}` : '',
      layerInWords(layer, bench),
    ]),
  ])
  const title = `${bike.name}: ${hoursInWords(costs.diggingH)} of digging`
  const left = out.flatMap(({ thing, count, why, bags }) => [
    `Goes in nowhere: ${count > 1 ? `${count} × ` : ''}${nth(bench, thing).name}`,
    ...why.map((each) => `  ${bagOf(each.storageId).name}: ${noRoomInWords(each, 'metric')}`),
    ...(bags[0] ? [`  would go into: ${bags[0].bag.name}`] : []),
  ])
  return [title, table(['in', 'pieces', 'wanted', ''], rows, [1, 2]), ...left, ''].join('\n')
}

const layerInWords = ({ thing, on, cures }: PackedLayer, bench: Trip['bench']): string =>
  [
    nth(bench, thing).name,
    ...(on === null ? [] : [`on or in ${nth(bench, on).name}`]),
    ...cures.map((cure) => cureWords[cure]),
  ].join(', ')
