import type { Fix } from '#core/fix'

/** Something about a fix that can hurt somebody, and what is said of it before its steps. */
interface Danger {
  readonly caution: string
  /** Fasteners that it turns, by the beginning of their role; functions and stock that it takes, by the beginning of theirs. */
  readonly turns?: readonly string[]
  readonly needs?: readonly string[]
  readonly uses?: readonly string[]
  /** Failures that it answers. */
  readonly answers?: readonly string[]
  /** Fixes in whose steps it comes, though nothing of the above says so. */
  readonly fixes?: readonly string[]
}

/** Said of a fix, and of the things that it takes. */
export const gas =
  'Compressed gas: the cartridge freezes skin and flies off if loosened under pressure; ask your carrier before flying.'
export const cement = 'Rubber cement is flammable and its fumes are harmful: no flame, open air.'

/** Common practice, no source; the maker's manual, local law and a qualified mechanic come first. */
const dangers: readonly Danger[] = [
  {
    caution: 'Brakes: try both hard, standing and then rolling slowly, before you ride on. Have a mechanic look at it.',
    turns: ['brake-anchor', 'pad-pin', 'calliper', 'rotor-bolt'],
    uses: ['brake-'],
    answers: ['brake-cable', 'hydraulic-down', 'pads-worn', 'rotor-bent', 'rotor-bolt', 'calliper-rubs'],
  },
  {
    caution:
      'Steering: front wheel between your knees, the bar must not turn or tip; no play. To the maker’s value, carbon with a torque key. Have a mechanic look at it.',
    turns: ['stem', 'headset'],
    answers: ['stem-loose', 'headset-loose', 'stem-bolt', 'bar-slips'],
  },
  {
    caution: 'A frame that folds: rock it hard with its catch closed before you ride. Have a mechanic look at it.',
    turns: ['hinge'],
    answers: ['hinge-loose', 'hinge-clamp'],
  },
  {
    caution: 'Wheel: it sits home on both sides, the axle is closed hard, and the brake holds, before you ride on.',
    turns: ['axle-'],
    fixes: ['change-hanger', 'change-pads', 'swap-pads', 'pull-free'],
  },
  {
    caution: gas,
    needs: ['burst-', 'meter-'],
    uses: ['cartridge'],
  },
  {
    caution: 'Air: never above the limit of tyre or rim, whichever is lower; hookless rims 5 bar.',
    needs: ['inflate-', 'compress-', 'burst-', 'meter-'],
  },
  {
    caution: 'Blades and needles: cut away from yourself and others, and from tyre, cable and brake hose.',
    needs: ['cut', 'sew', 'plug-tyre'],
    uses: ['zip-tie'],
  },
  {
    caution: cement,
    uses: ['patch', 'glue'],
  },
  {
    caution: 'Thread locker and oils: off skin and eyes, and off every brake surface.',
    uses: ['thread-locker', 'lube', 'grease'],
  },
  {
    caution: 'Lithium: a pack that fell, swelled, got wet inside or hot is not used; keep metal off its contacts.',
    needs: ['compress-', 'charge-'],
    uses: ['charge', 'usb-charge', 'motor-battery'],
    answers: ['motor-battery', 'motor-fault', 'shift-battery'],
  },
]

const isAnyOf = (names: readonly string[], beginnings: readonly string[] = []) =>
  names.some((name) => beginnings.some((beginning) => name.startsWith(beginning)))

/** What is dangerous about a fix whoever does it, by what it touches. */
export const dangersOf = ({
  id,
  turns = [],
  torques = [],
  needs = [],
  uses = {},
  answers,
}: Pick<Fix, 'id' | 'answers'> & Partial<Pick<Fix, 'turns' | 'torques' | 'needs'>> & { uses?: object }): string[] =>
  dangers
    .filter(
      (danger) =>
        isAnyOf([...turns, ...torques], danger.turns) ||
        isAnyOf(needs, danger.needs) ||
        isAnyOf(Object.keys(uses), danger.uses) ||
        answers.some((hazard) => danger.answers?.includes(hazard)) ||
        danger.fixes?.includes(id),
    )
    .map(({ caution }) => caution)
