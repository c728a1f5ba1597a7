import { defined, Fault } from '#core/validation'
import { atmosphereM, gaugeBarFromGas, ambientBar, standardHPa, strokesTo, tyreVolumeMl } from '#core/air'
import { tyreSizeOf, spokeLengthMm } from '#core/bike'
import { beltLinks, linksForLargest } from '#core/chain'
import { handForceN } from '#core/fit'
import { naismithHours, toblerKmPerHour, walkingMethods } from '#core/road'
import { rounded } from './text'
import { numberOption, UsageError, parsedArgs } from './usage'

/** Numbers of a calculation by their option: what they must lie between, and what is taken where none is given. */
type Options = Record<string, { least: number; most: number; default?: number }>

/** The numbers given, by option; and the texts given for other options. */
function read<O extends Options, W extends string>(args: string[], numbers: O, others: readonly W[] = []) {
  const options = Object.fromEntries(
    [...Object.keys(numbers), ...others].map((name) => [name, { type: 'string' as const }]),
  )
  const { values, positionals } = parsedArgs(args, options)
  if (positionals.length > 0) throw new UsageError(`“${positionals[0]}” is not expected here`)
  const given = values as Record<string, string | undefined>
  const number = (name: string): number => {
    const { least, most, default: standard } = defined(numbers[name])
    return numberOption(given[name] ?? (standard === undefined ? undefined : String(standard)), name, least, most)
  }
  return {
    numbers: Object.fromEntries(Object.keys(numbers).map((name) => [name, number(name)])) as Record<keyof O, number>,
    texts: given as Record<W, string | undefined>,
  }
}

function volumeFor(tyre: string | undefined): number {
  if (tyre === undefined) throw new UsageError('--tyre is needed')
  return tyreVolumeMl(tyreSizeOf(tyre, '--tyre'))
}

const calculations: Record<string, { usage: string; run: (args: string[]) => unknown }> = {
  'push-out': {
    usage: 'push-out --km 10 --climb-m 300 [--method naismith|tobler] [--factor 1.15]',
    run(args) {
      const { numbers, texts: given } = read(
        args,
        {
          km: { least: 0, most: 10_000 },
          'climb-m': { least: 0, most: 100_000, default: 0 },
          factor: { least: 1, most: 4, default: 1.15 },
        },
        ['method'],
      )
      const { km, 'climb-m': climbM, factor } = numbers
      const method = walkingMethods.find((known) => known === (given.method ?? 'naismith'))
      if (!method) throw new Fault('--method', `“${given.method}”`, walkingMethods.join(' or '))
      const walkH =
        method === 'naismith' || km === 0 ? naismithHours(km, climbM) : km / toblerKmPerHour(climbM / 1000 / km)
      return { method, km, climbM, walkH, factor, pushOutH: walkH * factor }
    },
  },
  co2: {
    usage: 'co2 --grams 16 --tyre 50-622 [--celsius 20]',
    run(args) {
      const { numbers, texts: given } = read(
        args,
        { grams: { least: 0, most: 1000 }, celsius: { least: -40, most: 60, default: 20 } },
        ['tyre'],
      )
      const volumeMl = volumeFor(given.tyre)
      return {
        gaugeBar: rounded(gaugeBarFromGas(numbers.grams, volumeMl, numbers.celsius), 3),
        volumeMl: rounded(volumeMl, 0),
      }
    },
  },
  strokes: {
    usage: 'strokes --tyre 50-622 --bar 2.4 --stroke-ml 100 [--height-m 0]',
    run(args) {
      const { numbers, texts: given } = read(
        args,
        {
          bar: { least: 0, most: 15 },
          'stroke-ml': { least: 1, most: 5000 },
          'height-m': { least: atmosphereM.least, most: atmosphereM.most, default: 0 },
        },
        ['tyre'],
      )
      const volumeMl = volumeFor(given.tyre)
      const outsideBar = (ambientBar * standardHPa(numbers['height-m'])) / standardHPa(0)
      const strokes = strokesTo(numbers.bar, volumeMl, numbers['stroke-ml'], outsideBar)
      return { strokes: rounded(strokes, 1), volumeMl: rounded(volumeMl, 0) }
    },
  },
  altitude: {
    usage: 'altitude --m 2438',
    run(args) {
      const { numbers } = read(args, { m: atmosphereM })
      return { hPa: rounded(standardHPa(numbers.m), 3) }
    },
  },
  spoke: {
    usage: 'spoke --erd 600 --flange 58 --offset 35 --crossings 3 --spokes 32 --hole 2.6',
    run(args) {
      const { numbers } = read(args, {
        erd: { least: 100, most: 700 },
        flange: { least: 20, most: 300 },
        offset: { least: 0, most: 80 },
        crossings: { least: 0, most: 9 },
        spokes: { least: 0, most: 100 },
        hole: { least: 0, most: 5 },
      })
      const { erd, flange, offset, crossings, spokes, hole } = numbers
      const lengthMm = spokeLengthMm({
        erdMm: erd,
        flangeMm: flange,
        offsetMm: offset,
        crossings,
        holes: spokes,
        spokeHoleMm: hole,
      })
      return { lengthMm: rounded(lengthMm, 2) }
    },
  },
  chain: {
    usage: 'chain --chainstay-mm 435 --chainring 40 --cog 44',
    run(args) {
      const { numbers } = read(args, {
        'chainstay-mm': { least: 300, most: 700 },
        chainring: { least: 6, most: 70 },
        cog: { least: 6, most: 70 },
      })
      const { 'chainstay-mm': chainstayMm, chainring, cog } = numbers
      return {
        links: linksForLargest(chainstayMm, chainring, cog),
        tightLinks: rounded(beltLinks(chainstayMm, chainring, cog), 2),
      }
    },
  },
  force: {
    usage: 'force --nm 48 --lever-mm 65',
    run(args) {
      const { numbers } = read(args, { nm: { least: 0, most: 1000 }, 'lever-mm': { least: 1, most: 2000 } })
      return { handN: rounded(handForceN(numbers.nm, numbers['lever-mm']), 1) }
    },
  },
}

export const calcUsage = Object.values(calculations)
  .map(({ usage }) => `calc ${usage}`)
  .join('\n  rag-tin ')

/** Single calculations, each with its own inputs. */
export function calc([what, ...args]: string[]): unknown {
  const calculation = what === undefined ? undefined : calculations[what]
  if (!calculation) throw new UsageError(what ? `“${what}” is not something to calculate` : 'say what to calculate')
  return calculation.run(args)
}
