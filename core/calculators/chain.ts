import { nth } from '../validation'
import {
  afterCutting,
  beltLinks,
  gearInches,
  linksForLargest,
  singleSpeeds,
  chainSwapsAlong,
  type Gear,
} from '../chain'
import { inputReader, type Calculator, type CalculatorInput } from './calculator'

const chainstay: CalculatorInput = {
  kind: 'amount',
  id: 'chainstayMm',
  label: 'Chainstay',
  amount: 'length',
  least: 300,
  most: 700,
  default: 435,
  off: { by: 2 },
}
const rings: CalculatorInput = { kind: 'teeth', id: 'chainrings', label: 'Chainrings', default: [40] }
const cogs: CalculatorInput = {
  kind: 'teeth',
  id: 'sprockets',
  label: 'Sprockets',
  default: [10, 11, 13, 15, 17, 19, 21, 24, 28, 32, 38, 44],
}
const links: CalculatorInput = {
  kind: 'amount',
  id: 'links',
  label: 'Links of the chain',
  amount: 'number',
  least: 50,
  most: 250,
  default: 114,
  whole: true,
}

const pathOf = ({ number, teeth }: ReturnType<typeof inputReader>) => ({
  chainstayMm: number('chainstayMm'),
  chainrings: teeth('chainrings'),
  sprockets: teeth('sprockets'),
})
const gearNames = (gears: readonly Gear[]) =>
  gears.length === 0 ? 'none' : gears.map(({ chainring, sprocket }) => `${chainring}×${sprocket}`).join(', ')

export const chainLength: Calculator = {
  id: 'chain',
  name: 'Chain length',
  asks: 'How many links does a new chain need?',
  formula: 'n = 2a/p + (z₁ + z₂)/2 + ((z₁ − z₂)/2π)² · p/a, an inch more, up to a whole pair',
  source: 'ISO 10823 for the length, pitch 12.7 mm of ISO 606; the inch is common practice',
  inputs: [chainstay, rings, cogs],
  calculate(values) {
    const { chainstayMm, chainrings, sprockets } = pathOf(inputReader(values))
    const [ring, cog] = [Math.max(...chainrings), Math.max(...sprockets)]
    return {
      results: [
        { id: 'links', label: 'Links', value: linksForLargest(chainstayMm, ring, cog), amount: 'number', whole: true },
        {
          id: 'tight',
          label: 'Drawn tight it would be',
          value: beltLinks(chainstayMm, ring, cog),
          amount: 'number',
          note: `links, round ${ring} and ${cog} teeth`,
        },
      ],
      warnings: [['With rear suspension take the chainstay at its longest; the maker’s manual decides.']],
    }
  },
}

export const cutChain: Calculator = {
  id: 'cut',
  name: 'A chain cut shorter',
  asks: 'Which gears are lost when bent links come out, and how long a spare piece brings them back?',
  formula: 'a gear is there while the links left reach round it with an inch more',
  source: 'as for the chain’s length',
  inputs: [
    chainstay,
    rings,
    cogs,
    links,
    {
      kind: 'amount',
      id: 'cutOut',
      label: 'Links taken out',
      amount: 'number',
      least: 0,
      most: 40,
      default: 4,
      whole: true,
    },
  ],
  calculate(values) {
    const read = inputReader(values)
    const path = pathOf(read)
    const cut = afterCutting(path, read.number('links'), read.number('cutOut'))
    const rows = [0, 2, 4, 6, 8, 10, 12]
      .filter((out) => out < read.number('links'))
      .map((out) => {
        const { lost, pieceLinks } = afterCutting(path, read.number('links'), out)
        return [String(out), gearNames(lost), pieceLinks === 0 ? '' : String(pieceLinks)]
      })
    return {
      results: [
        { id: 'lost', label: 'Gears lost', value: cut.lost.length, amount: 'number', note: gearNames(cut.lost) },
        {
          id: 'piece',
          label: 'Spare piece that brings them back',
          value: cut.pieceLinks,
          amount: 'number',
          note: 'links',
        },
      ],
      warnings: cut.lost.length > 0 ? [['Shifted into a gear that is lost, the chain tears the derailleur off.']] : [],
      table: { headings: ['links out', 'gears lost', 'piece, links'], rows },
    }
  },
}

export const singleSpeed: Calculator = {
  id: 'single-speed',
  name: 'Limping home on one gear',
  asks: 'With the derailleur gone, on which gear does the chain run straight and tight?',
  formula: 'slack = (whole pairs of links − drawn tight) · 12.7 mm;  development = π · D · z₁/z₂',
  source: 'chain lines, slack and cadence are planning values; needs an axle that stands still: no rear suspension',
  inputs: [
    chainstay,
    rings,
    cogs,
    links,
    {
      kind: 'amount',
      id: 'wheelMm',
      label: 'Wheel with its tyre',
      amount: 'length',
      least: 250,
      most: 850,
      default: 712,
    },
    {
      kind: 'amount',
      id: 'worn',
      label: 'Chain longer than new by',
      amount: 'share',
      least: 0,
      most: 0.02,
      default: 0.002,
      off: { by: 0.001 },
    },
  ],
  calculate(values) {
    const read = inputReader(values)
    const found = singleSpeeds(pathOf(read), read.number('wheelMm'), read.number('links'), read.number('worn'))
    const holding = found.filter(({ holds }) => holds)
    const best = nth(found, 0)
    return {
      results: [
        {
          id: 'candidates',
          label: 'Gears that hold',
          value: holding.length,
          amount: 'number',
          note: gearNames(holding),
        },
        { id: 'links', label: `Links for ${best.chainring}×${best.sprocket}`, value: best.links, amount: 'number' },
        { id: 'speed', label: 'Its speed at 60 turns a minute', value: best.kmPerH, amount: 'speed' },
      ],
      warnings:
        holding.length === 0
          ? [['No gear runs straight and tight enough by itself; the best ones below want a makeshift tensioner.']]
          : [],
      table: {
        headings: ['gear', 'links', 'slack', 'out of line', 'development', 'gear inches', 'holds'],
        rows: found
          .slice(0, 8)
          .map((gear) => [
            `${gear.chainring}×${gear.sprocket}`,
            String(gear.links),
            { value: gear.slackMm, amount: 'length' },
            { value: gear.outOfLineMm, amount: 'length' },
            { value: gear.developmentM, amount: 'development' },
            gearInches(gear, read.number('wheelMm')).toFixed(0),
            gear.holds ? 'yes' : 'no',
          ]),
      },
    }
  },
}

export const chainSwaps: Calculator = {
  id: 'swaps',
  name: 'Swapping the chain',
  asks: 'At which kilometres is the chain due?',
  formula: 'first swap at left · life, and then every life',
  source: 'a life is a planning value, or what your own log says; common practice on long tours: about every 1000 km',
  inputs: [
    {
      kind: 'amount',
      id: 'chainLeft',
      label: 'Life left',
      amount: 'share',
      least: 0,
      most: 1,
      default: 0.8,
      off: { by: 0.1 },
    },
    {
      kind: 'amount',
      id: 'chainLifeKm',
      label: 'A chain lasts on this road',
      amount: 'road',
      least: 100,
      most: 20_000,
      default: 3000,
      off: { share: 0.3 },
    },
    {
      kind: 'amount',
      id: 'roadKm',
      label: 'Length of the road',
      amount: 'road',
      least: 1,
      most: 30_000,
      default: 1000,
    },
  ],
  calculate(values) {
    const { number } = inputReader(values)
    const swaps = chainSwapsAlong(number('chainLeft'), number('chainLifeKm'), number('roadKm'))
    return {
      results: [
        { id: 'swaps', label: 'Swaps on the road', value: swaps.length, amount: 'number' },
        {
          id: 'first',
          label: 'The first is due at',
          value: number('chainLeft') * number('chainLifeKm'),
          amount: 'road',
        },
      ],
      table: {
        headings: ['swap', 'at'],
        rows: swaps.slice(0, 20).map((km, i) => [String(i + 1), { value: km, amount: 'road' }]),
      },
    }
  },
}
