import { defined } from '../validation'
import { tyreVolumeMl } from '../air'
import { tyreSizeOf } from '../bike'
import { decant, gPerMl, padsLeftAlong, sealantMl, sealantLeft, tapeM, tapeTurns, threadM } from '../consumables'
import { comfortableShare, handForceN, defaultHandN } from '../fit'
import { inputReader, type Calculator } from './calculator'

const carriedIn = (amountMl: number, fluid: keyof typeof gPerMl) => {
  const { containers, massG } = decant(amountMl, gPerMl[fluid])
  const names = containers.map(({ name }) => name)
  return {
    id: 'mass',
    label: 'Decanted it weighs',
    value: massG,
    amount: 'mass' as const,
    note: [...new Set(names)].join(' and '),
  }
}

export const lube: Calculator = {
  id: 'lube',
  name: 'Chain lube',
  asks: 'How much is used on this road, and in which bottle?',
  formula: 'mL = bikes · road / interval · mL each time, the interval shorter by the share that is wet',
  source: 'intervals and amounts are planning values; common practice: a 15 mL dropper outlasts a 500 km race',
  inputs: [
    { kind: 'amount', id: 'roadKm', label: 'Length of the road', amount: 'road', least: 1, most: 30_000, default: 600 },
    {
      kind: 'amount',
      id: 'intervalKm',
      label: 'Lubed every, when dry',
      amount: 'road',
      least: 20,
      most: 2000,
      default: 220,
      off: { share: 0.3 },
    },
    {
      kind: 'amount',
      id: 'wet',
      label: 'Share of it wet',
      amount: 'share',
      least: 0,
      most: 1,
      default: 0.2,
      off: { by: 0.15 },
    },
    {
      kind: 'amount',
      id: 'eachMl',
      label: 'Each time',
      amount: 'volume',
      least: 0.5,
      most: 20,
      default: 3,
      off: { share: 0.2 },
    },
    { kind: 'amount', id: 'bikes', label: 'Bikes', amount: 'number', least: 1, most: 20, default: 1, whole: true },
  ],
  calculate(values) {
    const { number } = inputReader(values)
    // Rain strips it two and a half times as fast, the planning value of the hazard itself.
    const goes = (number('roadKm') / number('intervalKm')) * (1 + 1.5 * number('wet'))
    const amountMl = goes * number('eachMl') * number('bikes')
    return {
      results: [
        { id: 'amount', label: 'Lube', value: amountMl, amount: 'volume' },
        { id: 'goes', label: 'Times, each bike', value: goes, amount: 'number' },
        carriedIn(amountMl, 'lube'),
      ],
    }
  },
}

export const sealant: Calculator = {
  id: 'sealant',
  name: 'Sealant',
  asks: 'What is left in a tyre, and how much tops it up?',
  formula: 'full = 60 mL · (V / 4145 mL)^0.7;  wet = ½^(months / half-life), half-life 3 months at 15 °C',
  source: 'planning values near what makers write on their bottles',
  inputs: [
    { kind: 'tyre', id: 'tyre', label: 'Tyre', default: '50-622' },
    {
      kind: 'amount',
      id: 'months',
      label: 'Since it was filled',
      amount: 'months',
      least: 0,
      most: 36,
      default: 3,
      off: { share: 0.3 },
    },
    {
      kind: 'amount',
      id: 'celsius',
      label: 'Kept at about',
      amount: 'warmth',
      least: -10,
      most: 40,
      default: 15,
      off: { by: 4 },
    },
    { kind: 'amount', id: 'tyres', label: 'Tyres', amount: 'number', least: 1, most: 40, default: 2, whole: true },
  ],
  calculate(values) {
    const { number, text } = inputReader(values)
    const fullMl = sealantMl(tyreVolumeMl(tyreSizeOf(text('tyre'), 'Tyre')))
    const wet = (months: number) => sealantLeft(months, number('celsius'))
    const topUpMl = fullMl * (1 - wet(number('months'))) * number('tyres')
    const months = Array.from({ length: 13 }, (_, i) => i)
    return {
      results: [
        { id: 'wet', label: 'Still wet', value: wet(number('months')), amount: 'share' },
        { id: 'full', label: 'A tyre wants', value: fullMl, amount: 'volume' },
        { id: 'topUp', label: 'To top all up', value: topUpMl, amount: 'volume' },
        carriedIn(topUpMl, 'sealant'),
      ],
      chart: {
        x: { label: 'months', amount: 'months' },
        y: { label: 'still wet', amount: 'share' },
        curves: [{ label: 'wet', points: months.map((month) => [month, wet(month)]) }],
        levels: [],
      },
    }
  },
}

export const pads: Calculator = {
  id: 'pads',
  name: 'Brake pads',
  asks: 'What is left of the pads along the road?',
  formula: 'left(x) = left − x / life, the spread growing with the square root of the wear',
  source: 'lives are planning values; mud and grit can eat a set in one event',
  inputs: [
    {
      kind: 'amount',
      id: 'padLeft',
      label: 'Left now, of what may be worn away',
      amount: 'share',
      least: 0,
      most: 1,
      default: 0.8,
      off: { by: 0.1 },
    },
    {
      kind: 'amount',
      id: 'padLifeKm',
      label: 'A pair lasts, dry',
      amount: 'road',
      least: 50,
      most: 30_000,
      default: 2500,
      off: { share: 0.3 },
    },
    { kind: 'amount', id: 'hard', label: 'This road wears them', amount: 'number', least: 0.2, most: 20, default: 1.3 },
    { kind: 'amount', id: 'roadKm', label: 'Length of the road', amount: 'road', least: 1, most: 30_000, default: 600 },
  ],
  calculate(values) {
    const { number } = inputReader(values)
    const lifeKm = number('padLifeKm') / number('hard')
    const places = Array.from({ length: 25 }, (_, i) => (i * number('roadKm')) / 24)
    const left = padsLeftAlong(
      number('padLeft'),
      places.map((roadKm) => ({ roadKm, lives: roadKm / lifeKm })),
      0.45,
    )
    const last = defined(left.at(-1))
    return {
      results: [
        {
          id: 'end',
          label: 'Left at the end',
          value: last.mean,
          amount: 'share',
          note: `between ${(last.low * 100).toFixed(0)} and ${(last.high * 100).toFixed(0)} % in four trips of five`,
        },
        { id: 'gone', label: 'Gone, on average, at', value: number('padLeft') * lifeKm, amount: 'road' },
      ],
      warnings:
        last.low <= 0
          ? [['Fit fresh pads before leaving, or take a pair: they weigh less than a walk down a pass.']]
          : [],
      chart: {
        x: { label: 'along the road', amount: 'road' },
        y: { label: 'pad left', amount: 'share' },
        curves: [
          { label: 'mean', points: left.map(({ roadKm, mean }) => [roadKm, mean]) },
          { label: 'one in ten is lower', points: left.map(({ roadKm, low }) => [roadKm, low]), faint: true },
          { label: 'one in ten is higher', points: left.map(({ roadKm, high }) => [roadKm, high]), faint: true },
        ],
        levels: [],
      },
    }
  },
}

export const tape: Calculator = {
  id: 'tape',
  name: 'Tape and thread',
  asks: 'How much tape goes round the pump, and how much thread sews a cut?',
  formula: 'tape = π · turns · (d + t · turns);  thread = 2 · stitches · (4 mm + cloth), and two ends',
  source: 'geometry; a stitch every 4 mm and 30 cm of ends are planning values; common practice: 1.2 to 1.5 m of tape',
  inputs: [
    { kind: 'amount', id: 'lengthM', label: 'Tape', amount: 'development', least: 0.1, most: 20, default: 1.5 },
    {
      kind: 'amount',
      id: 'aroundMm',
      label: 'Thickness of the pump or lever',
      amount: 'length',
      least: 5,
      most: 80,
      default: 24,
    },
    { kind: 'amount', id: 'seamMm', label: 'Seam', amount: 'length', least: 5, most: 1000, default: 60 },
    {
      kind: 'amount',
      id: 'seams',
      label: 'Seams to be ready for',
      amount: 'number',
      least: 1,
      most: 50,
      default: 2,
      whole: true,
    },
  ],
  calculate(values) {
    const { number } = inputReader(values)
    const turns = tapeTurns(number('lengthM'), number('aroundMm'))
    return {
      results: [
        { id: 'turns', label: 'Turns', value: turns, amount: 'number' },
        { id: 'thick', label: 'The roll is then thick', value: number('aroundMm') + 0.6 * turns, amount: 'length' },
        {
          id: 'boot',
          label: 'Tape for one tyre boot, six turns',
          value: tapeM(6, 45),
          amount: 'development',
          note: 'round a tyre of 45 mm and its rim',
        },
        { id: 'thread', label: 'Thread', value: threadM(number('seamMm')) * number('seams'), amount: 'development' },
      ],
    }
  },
}

export const force: Calculator = {
  id: 'force',
  name: 'Force at the hand',
  asks: 'How hard must one pull?',
  formula: 'F = torque / lever',
  source: 'a hand gives some 400 N, 250 with ease: planning values of the order of DIN 33411-5',
  inputs: [
    {
      kind: 'amount',
      id: 'torqueNm',
      label: 'Torque',
      amount: 'torque',
      least: 0,
      most: 300,
      default: 48,
      off: { share: 0.2 },
    },
    { kind: 'amount', id: 'leverMm', label: 'Lever', amount: 'length', least: 5, most: 1000, default: 65 },
    {
      kind: 'amount',
      id: 'handMostN',
      label: 'A hand gives at most',
      amount: 'force',
      least: 50,
      most: 1500,
      default: defaultHandN,
      off: { share: 0.25 },
    },
  ],
  calculate(values) {
    const { number } = inputReader(values)
    const mostN = number('handMostN')
    const easyN = comfortableShare * mostN
    const pull = (leverMm: number) => handForceN(number('torqueNm'), leverMm)
    const levers = Array.from({ length: 20 }, (_, i) => 40 + i * 15)
    const handN = pull(number('leverMm'))
    return {
      results: [
        { id: 'hand', label: 'At the hand', value: handN, amount: 'force' },
        {
          id: 'comfortable',
          label: 'Comfortable from a lever of',
          value: (number('torqueNm') / easyN) * 1000,
          amount: 'length',
        },
        { id: 'least', label: 'Not possible below', value: (number('torqueNm') / mostN) * 1000, amount: 'length' },
      ],
      warnings: handN > mostN ? [['More than a hand gives: no lever arm.']] : [],
      chart: {
        x: { label: 'lever', amount: 'length' },
        y: { label: 'at the hand', amount: 'force' },
        curves: [{ label: 'force', points: levers.map((mm) => [mm, pull(mm)]) }],
        levels: [
          { label: 'comfortable', at: easyN },
          { label: 'limit', at: mostN },
        ],
      },
    }
  },
}
