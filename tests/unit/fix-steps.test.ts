import { catalogue } from '#catalogue'
import { cautionsOf, type Fix } from '#core/fix'
import { describe, expect, it } from 'vitest'
import { steps } from '../../catalogue/steps'

const { fixes } = catalogue
const words = (fix: Fix) => [fix.name, ...fix.steps].join(' ')
const touches = ({ turns, torques, needs, uses }: Fix) =>
  [...turns, ...torques, ...needs, ...Object.keys(uses)].join(' ')

/** What can hurt, told by what a fix says and takes, and not by the list that the catalogue goes by. Common practice, no source. */
const dangerous: Readonly<Record<string, { readonly touched: (fix: Fix) => boolean; readonly said: RegExp }>> = {
  'a brake': {
    touched: (fix) =>
      /brake-|calliper|rotor-bolt|pad-pin/.test(touches(fix)) ||
      fix.answers.some((hazard) => /brake|pads|rotor|hydraulic|calliper/.test(hazard)),
    said: /^Brakes: .*before you ride/,
  },
  'the steering': {
    touched: (fix) =>
      /\b(stem|headset)/.test(touches(fix)) || /headset|the bar\b.*clamp|fork has no play/.test(words(fix)),
    said: /^Steering: /,
  },
  'a frame that folds': { touched: (fix) => /hinge/.test(fix.answers.join(' ')), said: /^A frame that folds: / },
  'how a wheel is held': {
    touched: (fix) => /axle/.test(touches(fix)) || /take (the|both) wheels? out|wheel in\b/i.test(words(fix)),
    said: /^Wheel: it sits home/,
  },
  'compressed gas': {
    touched: (fix) => /cartridge|burst|meter-/.test(`${touches(fix)} ${words(fix)}`),
    said: /^Compressed gas: /,
  },
  'a pressure': {
    touched: (fix) => /inflate|compress|burst|meter-/.test(touches(fix)),
    said: /^Air: never above the limit/,
  },
  'a blade or a needle': {
    touched: (fix) => /\b(cut|cut-cable|sew|zip-tie)\b/.test(touches(fix)) || /\bsew\b/i.test(words(fix)),
    said: /^Blades and needles: /,
  },
  'glue and its fumes': {
    touched: (fix) => /\bglue\b/i.test(words(fix)) && !/dries out/.test(words(fix)),
    said: /^Rubber cement is flammable/,
  },
  'thread locker and oils': {
    touched: (fix) => /thread-locker|lube|grease/.test(touches(fix)),
    said: /^Thread locker and oils: /,
  },
  'a lithium pack': {
    touched: (fix) => /compress|charge|motor-battery/.test(touches(fix)) || /battery/.test(fix.answers.join(' ')),
    said: /^Lithium: /,
  },
}

describe('what to do with one’s hands', () => {
  it('is there for every fix, in short lines, and for nothing else', () => {
    expect(Object.keys(steps).sort()).toEqual(fixes.map(({ id }) => id).sort())
    for (const { id, steps: lines } of fixes) {
      expect(lines.length, id).toBeGreaterThan(0)
      expect(lines.length, id).toBeLessThan(20)
      for (const line of lines) {
        expect(line.length, `${id}: ${line}`).toBeLessThanOrEqual(120)
        expect(line, id).toMatch(/^[A-Z].*[.]$/)
      }
      for (const [i, line] of lines.entries()) expect(line, id).not.toBe(lines[i + 1])
    }
  })
  it('puts a wheel that was taken out back in, and closes what was opened', () => {
    for (const fix of fixes) {
      const lines = fix.steps.join(' ')
      if (/take (the|both) wheels? out|and take the wheel out/i.test(lines) && fix.id !== 'pull-free')
        expect(lines, fix.id).toMatch(/set the wheel in|wheels? in, axles? closed|clos(e|ing) the axle/i)
      if (lines.includes('Lift one bead over the rim'))
        expect(lines, fix.id).toMatch(/press the bead (back|on)|bead on by hand/i)
    }
  })
})

describe('what is dangerous about a fix is said before its steps', () => {
  it.each(Object.entries(dangerous))('where it touches %s', (_, { touched, said }) => {
    const touching = fixes.filter(touched)
    expect(touching.length).toBeGreaterThan(0)
    for (const fix of touching)
      expect(
        cautionsOf(fix).some((caution) => said.test(caution)),
        fix.id,
      ).toBe(true)
  })
  it('says nothing twice', () => {
    for (const fix of fixes) {
      const cautions = cautionsOf(fix)
      expect(new Set(cautions).size, fix.id).toBe(cautions.length)
    }
  })
})
