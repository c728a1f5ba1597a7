import { defined } from '../validation'
import {
  cabinM,
  cartridgesFor,
  fillWh,
  gaugeBarAt,
  gaugeBarFromGas,
  hooklessMostBar,
  ambientBar,
  rideableShare,
  seatingShare,
  standardHPa,
  strainShare,
  strokesPerMinute,
  strokesTo,
  tyreVolumeMl,
} from '../air'
import { tyreSizeOf } from '../bike'
import { inputReader, type Curve, type Phrase, type Calculator, type CalculatorInput } from './calculator'

const tyre: CalculatorInput = { kind: 'tyre', id: 'tyre', label: 'Tyre', default: '50-622' }
/** A tyre on a narrow or a wide rim holds less or more than its marking says. */
const volumeTrue: CalculatorInput = {
  kind: 'amount',
  id: 'volumeTrue',
  label: 'Real volume, of the marking',
  amount: 'share',
  least: 0.5,
  most: 1.5,
  default: 1,
  off: { by: 0.1 },
}
const rideBar: CalculatorInput = {
  kind: 'amount',
  id: 'rideBar',
  label: 'Pressure to ride at',
  amount: 'pressure',
  least: 0.2,
  most: 12,
  default: 2.4,
}
const mostBar: CalculatorInput = {
  kind: 'amount',
  id: 'mostBar',
  label: 'Most that tyre and rim allow',
  amount: 'pressure',
  least: 0.5,
  most: 15,
  default: hooklessMostBar,
}
const heightM: CalculatorInput = {
  kind: 'amount',
  id: 'heightM',
  label: 'Height of the road',
  amount: 'height',
  least: -400,
  most: 6000,
  default: 0,
}

const volumeOf = ({ text, number }: ReturnType<typeof inputReader>) =>
  tyreVolumeMl(tyreSizeOf(text('tyre'), 'Tyre')) * number('volumeTrue')

function tooMuch(what: string, bar: number, mostBarOf: number): Phrase[][] {
  if (bar <= mostBarOf) return []
  const [pressure, most] = [bar, mostBarOf].map((value) => ({ value, amount: 'pressure' as const }))
  return [
    [
      `${what}, `,
      defined(pressure),
      ' is more than the ',
      defined(most),
      ' that tyre and rim allow: the tyre may come off.',
    ],
  ]
}

const gasCaution = [
  'Compressed gas: the cartridge freezes skin and flies off if it is loosened under pressure. Ask your carrier before flying.',
]

export const cartridges: Calculator = {
  id: 'cartridges',
  name: 'Gas cartridges',
  asks: 'How many cartridges does a tyre take, and what does each give?',
  formula: 'p = (m / 44.0095 g/mol) · R · T / V,  V = 2π² · (d/2 + w/2) · (w/2)²',
  source: 'ideal gas, R of CODATA 2018; the tyre as a round ring on its bead seat (ISO 5775-1)',
  inputs: [
    tyre,
    volumeTrue,
    {
      kind: 'amount',
      id: 'gasG',
      label: 'Gas in one',
      amount: 'mass',
      least: 4,
      most: 100,
      default: 16,
      off: { share: 0.03 },
    },
    { kind: 'amount', id: 'count', label: 'How many', amount: 'number', least: 1, most: 10, default: 1, whole: true },
    {
      kind: 'amount',
      id: 'celsius',
      label: 'Air',
      amount: 'warmth',
      least: -20,
      most: 45,
      default: 20,
      off: { by: 8 },
    },
    rideBar,
    mostBar,
  ],
  calculate(values) {
    const read = inputReader(values)
    const { number } = read
    const volumeMl = volumeOf(read)
    const [gasG, celsius] = [number('gasG'), number('celsius')]
    const bar = (count: number, grams = gasG) => gaugeBarFromGas(grams * count, volumeMl, celsius)
    const toRide = number('rideBar') * rideableShare
    const toSeat = number('rideBar') * seatingShare
    const weights = [...new Set([gasG, 16, 25])]
    // As far as tyre and rim allow, and a little beyond.
    const allowed = Math.ceil(number('mostBar') / bar(1, Math.min(...weights)))
    const most = Math.max(2, number('count'), Math.min(10, allowed))
    const counts = Array.from({ length: most + 1 }, (_, i) => i)
    const curve = (grams: number): Curve => ({
      label: `${grams} g each`,
      points: counts.map((n) => [n, bar(n, grams)]),
    })
    return {
      results: [
        { id: 'bar', label: 'It gives', value: bar(number('count')), amount: 'pressure' },
        {
          id: 'ride',
          label: 'Cartridges to ride on',
          value: cartridgesFor(toRide, gasG, volumeMl, celsius),
          amount: 'number',
          whole: true,
          note: 'four fifths of the pressure you ride at',
        },
        {
          id: 'seat',
          label: 'Cartridges to seat a bead',
          value: cartridgesFor(toSeat, gasG, volumeMl, celsius),
          amount: 'number',
          whole: true,
          note: 'a fifth more than you ride at',
        },
        { id: 'volume', label: 'The tyre holds', value: volumeMl, amount: 'volume' },
      ],
      warnings: [
        ...tooMuch('With so many', bar(number('count')), number('mostBar')),
        ...tooMuch('Seating the bead', toSeat, number('mostBar')),
        gasCaution,
      ],
      chart: {
        x: { label: 'cartridges', amount: 'number' },
        y: { label: 'pressure', amount: 'pressure' },
        curves: weights.map(curve),
        levels: [
          { label: 'to ride on', at: toRide },
          { label: 'to seat a bead', at: toSeat },
          { label: 'allowed', at: number('mostBar') },
        ],
      },
    }
  },
}

export const strokes: Calculator = {
  id: 'strokes',
  name: 'Pump strokes',
  asks: 'How long does one pump?',
  formula: 'strokes = V · p / (stroke volume · pressure outside)',
  source: 'work at one temperature, without the dead volume of the pump; pressure outside by ISO 2533',
  inputs: [
    tyre,
    volumeTrue,
    rideBar,
    {
      kind: 'amount',
      id: 'strokeMl',
      label: 'Air with one stroke',
      amount: 'volume',
      least: 5,
      most: 2000,
      default: 45,
      off: { share: 0.15 },
    },
    heightM,
    mostBar,
  ],
  calculate(values) {
    const read = inputReader(values)
    const { number } = read
    const volumeMl = volumeOf(read)
    const outside = (ambientBar * standardHPa(number('heightM'))) / standardHPa(0)
    const count = (bar: number) => strokesTo(bar, volumeMl, number('strokeMl'), outside)
    const steps = Array.from({ length: 13 }, (_, i) => (i * Math.max(number('rideBar'), 1) * 1.25) / 12)
    return {
      results: [
        { id: 'strokes', label: 'Strokes', value: count(number('rideBar')), amount: 'number', whole: true },
        {
          id: 'time',
          label: 'At 60 a minute',
          value: count(number('rideBar')) / strokesPerMinute / 60,
          amount: 'time',
        },
        {
          id: 'soft',
          label: 'Strokes to ride on',
          value: count(number('rideBar') * rideableShare),
          amount: 'number',
          whole: true,
          note: 'four fifths of the pressure',
        },
      ],
      warnings: tooMuch('Ridden so', number('rideBar'), number('mostBar')),
      chart: {
        x: { label: 'pressure', amount: 'pressure' },
        y: { label: 'strokes', amount: 'number' },
        curves: [{ label: 'strokes', points: steps.map((bar) => [bar, count(bar)]) }],
        levels: [],
      },
    }
  },
}

export const compressor: Calculator = {
  id: 'compressor',
  name: 'Compressor fills',
  asks: 'How many tyres does a charge blow up?',
  formula: 'W = V · (p₂ · ln(p₂/p₁) − p₂ + p₁) / efficiency',
  source: 'least work of pressing air in at an even temperature; the efficiency is a planning value',
  inputs: [
    tyre,
    volumeTrue,
    rideBar,
    {
      kind: 'amount',
      id: 'energyWh',
      label: 'Battery',
      amount: 'energy',
      least: 0.5,
      most: 500,
      default: 24,
      off: { share: 0.15 },
    },
    {
      kind: 'amount',
      id: 'cold',
      label: 'Share of it left in the cold',
      amount: 'share',
      least: 0.2,
      most: 1,
      default: 0.9,
      off: { by: 0.1 },
    },
  ],
  calculate(values) {
    const read = inputReader(values)
    const { number } = read
    const wh = fillWh(number('rideBar'), volumeOf(read))
    return {
      results: [
        {
          id: 'fills',
          label: 'Fills from flat',
          value: Math.floor((number('energyWh') * number('cold')) / wh),
          amount: 'number',
        },
        { id: 'each', label: 'One takes', value: wh, amount: 'energy' },
      ],
      warnings: [['Lithium packs have their own rules on aircraft: ask your carrier.']],
    }
  },
}

export const height: Calculator = {
  id: 'height',
  name: 'Height and aircraft hold',
  asks: 'What does a tyre read high up?',
  formula: 'p(H) = 1013.25 hPa · (1 − 0.0065 · H / 288.15)^5.2559;  reading = p + p(filled at) − p(H)',
  source: 'ISO 2533; cabins are kept below 8000 ft (14 CFR 25.841)',
  inputs: [
    {
      kind: 'amount',
      id: 'bar',
      label: 'It reads',
      amount: 'pressure',
      least: 0,
      most: 12,
      default: 2.4,
      off: { by: 0.1 },
    },
    { ...heightM, id: 'filledAtM', label: 'where it was filled', default: 0 },
    {
      kind: 'amount',
      id: 'atM',
      label: 'and is taken to',
      amount: 'height',
      least: -400,
      most: 12_000,
      default: cabinM,
    },
    mostBar,
  ],
  calculate(values) {
    const { number } = inputReader(values)
    const [bar, from, at] = [number('bar'), number('filledAtM'), number('atM')]
    const there = gaugeBarAt(bar, from, at)
    const steps = Array.from({ length: 25 }, (_, i) => i * 500)
    return {
      results: [
        { id: 'there', label: 'There it reads', value: there, amount: 'pressure' },
        {
          id: 'air',
          label: 'The air there presses with',
          value: standardHPa(at) / 1000,
          amount: 'pressure',
          note: `${standardHPa(at).toFixed(1)} hPa`,
        },
        { id: 'gain', label: 'The tyre bears more by', value: strainShare(bar, from, at), amount: 'share' },
      ],
      warnings: [
        ...tooMuch('Up there', there, number('mostBar')),
        ['Physics does not ask for flat tyres in a hold; many carriers do. Ask yours.'],
      ],
      chart: {
        x: { label: 'height', amount: 'height' },
        y: { label: 'it reads', amount: 'pressure' },
        curves: [{ label: 'reading', points: steps.map((m) => [m, gaugeBarAt(bar, from, m)]) }],
        levels: [],
      },
    }
  },
}
