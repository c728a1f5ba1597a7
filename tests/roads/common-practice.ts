import type { Bike } from '#core/bike'
import { taken, type RoadSketch } from './road'

/** A kit as it is packed: how many of each thing, and what follows. */
export interface PackedKit {
  readonly count: (id: string) => number
  readonly massG: number
  readonly stranded: number
}

/** What riders would say of a kit for a road. */
export interface Practice {
  readonly name: string
  readonly road: RoadSketch
  readonly holds: Readonly<Record<string, (kit: PackedKit) => boolean>>
}

const air = ({ count }: PackedKit) => count('mini-pump') + count('hose-pump') >= 1
const lever = ({ count }: PackedKit) => count('levers-two') + count('lever-strong') >= 1
const folding = ({ count }: PackedKit) => count('folding-17') + count('folding-9') >= 1
const patches = ({ count }: PackedKit) => count('patch-kit') + count('sticker-patches')
const boots = ({ count }: PackedKit) => count('boot') + count('boot-cloth')
const basics = {
  'a pump': air,
  'levers or a lever': lever,
  'patches or a tube': (kit: PackedKit) => patches(kit) + kit.count('tube-622') >= 1,
  'a plug kit, the tyres being tubeless': ({ count }: PackedKit) => count('plug-kit') === 1,
  'a folding tool': folding,
  'a quick link': ({ count }: PackedKit) => count('link-12') >= 1,
}
const weighs = (least: number, most: number) => ({
  [`${least} to ${most} g`]: ({ massG }: PackedKit) => massG >= least && massG <= most,
})
const staysAtHome = {
  'no second boot': (kit: PackedKit) => boots(kit) <= 1,
  'no third link': ({ count }: PackedKit) => count('link-12') <= 2,
  'no lockring tool beside a fibre spoke': ({ count }: PackedKit) =>
    count('fibre-spoke') * count('lockring-tool') === 0,
}

const tubed = (bike: Bike): Bike => ({
  ...bike,
  tyres: { front: { ...bike.tyres.front, tubeless: false }, rear: { ...bike.tyres.rear, tubeless: false } },
})
const tyres =
  (size: string, treadLeft: number) =>
  (bike: Bike): Bike => ({
    ...bike,
    tyres: { front: { ...bike.tyres.front, size, treadLeft }, rear: { ...bike.tyres.rear, size, treadLeft } },
  })
const week: RoadSketch = { lengthKm: 560, shopEveryKm: 280 }

/** Common practice, no source: what experienced riders pack for roads of a kind. */
export const commonPractice: readonly Practice[] = [
  {
    name: 'a week of remote gravel',
    road: week,
    holds: {
      ...basics,
      ...weighs(700, 1100),
      'stranded one time in a hundred to four in a hundred': ({ stranded }) => stranded >= 0.01 && stranded <= 0.04,
      ...staysAtHome,
    },
  },
  {
    name: 'a shop every 60 km',
    road: { lengthKm: 420, shopEveryKm: 60 },
    holds: { ...basics, ...weighs(300, 700), ...staysAtHome },
  },
  {
    name: 'a ride of one day',
    road: { lengthKm: 90, shopEveryKm: null },
    holds: { ...basics, ...weighs(300, 700), ...staysAtHome },
  },
  {
    name: 'solo and remote',
    road: { lengthKm: 900, shopEveryKm: null, foodEveryKm: 150 },
    holds: {
      ...basics,
      'two tubes, not three': ({ count }) => count('tube-622') === 2,
      'one boot, not three': (kit) => boots(kit) === 1,
    },
  },
  {
    name: 'a wet week',
    road: { ...week, wet: true },
    holds: {
      ...basics,
      lube: ({ count }) => count('lube-15') + count('lube-60') >= 1,
      pads: ({ count }) => count('pads-b1') >= 1,
    },
  },
  {
    name: 'thorns everywhere, tyres with tubes',
    road: { ...week, thorns: true, bike: tubed },
    holds: {
      patches: (kit) => patches(kit) >= 1,
      'patches before tubes': ({ count }) => count('tube-622') <= 2,
    },
  },
  {
    name: 'a size that no shop has, with old tread',
    road: { ...week, bike: tyres('57-584', 0.3), more: [taken('tube-584', 3), taken('tyre-584')] },
    holds: { 'its spare tyre': ({ count }) => count('tyre-584') === 1 },
  },
  {
    name: 'a size that no shop has, with little more tread than the road takes',
    road: { ...week, bike: tyres('57-584', 0.15), more: [taken('tube-584', 3), taken('tyre-584')] },
    holds: { 'its spare tyre': ({ count }) => count('tyre-584') === 1 },
  },
  {
    name: 'a size that no shop has, with new tread',
    road: { ...week, bike: tyres('57-584', 1), more: [taken('tube-584', 3), taken('tyre-584')] },
    holds: { 'no spare tyre': ({ count }) => count('tyre-584') === 0 },
  },
]
