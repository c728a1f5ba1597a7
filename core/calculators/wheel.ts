import { spokeLengthMm } from '../bike'
import { inputReader, type Calculator } from './calculator'

export const spokeLength: Calculator = {
  id: 'spoke',
  name: 'Spoke length',
  asks: 'How long is a spoke of this side of this wheel?',
  formula: 'L = √(R² + r² + o² − 2·R·r·cos(720° · crossings / holes)) − hole/2',
  source: 'J. Brandt, “The Bicycle Wheel” (1981); the geometry in space gives the same',
  inputs: [
    {
      kind: 'amount',
      id: 'erdMm',
      label: 'Rim, seat to seat of opposite nipples',
      amount: 'length',
      least: 100,
      most: 700,
      default: 600,
      off: { by: 1 },
    },
    {
      kind: 'amount',
      id: 'flangeMm',
      label: 'Pitch circle of the flange',
      amount: 'length',
      least: 20,
      most: 300,
      default: 58,
      off: { by: 0.5 },
    },
    {
      kind: 'amount',
      id: 'offsetMm',
      label: 'Middle of the hub to the flange',
      amount: 'length',
      least: 0,
      most: 80,
      default: 35,
      off: { by: 0.5 },
    },
    {
      kind: 'amount',
      id: 'crossings',
      label: 'Crossings',
      amount: 'number',
      least: 0,
      most: 9,
      default: 3,
      whole: true,
    },
    {
      kind: 'amount',
      id: 'holes',
      label: 'Holes of the whole wheel',
      amount: 'number',
      least: 8,
      most: 72,
      default: 32,
      whole: true,
    },
    {
      kind: 'amount',
      id: 'spokeHoleMm',
      label: 'Hole in the flange',
      amount: 'length',
      least: 1.5,
      most: 5,
      default: 2.6,
      off: { by: 0.1 },
    },
  ],
  calculate(values) {
    const { number } = inputReader(values)
    const lengthAt = (crossings: number) =>
      spokeLengthMm({
        erdMm: number('erdMm'),
        flangeMm: number('flangeMm'),
        offsetMm: number('offsetMm'),
        crossings,
        holes: number('holes'),
        spokeHoleMm: number('spokeHoleMm'),
      })
    const lengthMm = lengthAt(number('crossings'))
    return {
      results: [
        { id: 'length', label: 'The spoke is', value: lengthMm, amount: 'length' },
        {
          id: 'ask',
          label: 'Ask for',
          value: Math.round(lengthMm),
          amount: 'length',
          note: 'two shorter or one longer still serve',
        },
      ],
      warnings: [['A spoke taken out and measured is worth more than any formula.']],
    }
  },
}
