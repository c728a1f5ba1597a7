import { z } from 'zod'

/** The formats of paper that a page is made for: ISO 216 A4, and Letter of ANSI/ASME Y14.1. */
export const paperFormats = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  letter: { name: 'US Letter', widthMm: 215.9, heightMm: 279.4 },
} as const
export const paperFormatSchema = z.enum(['a4', 'letter'])
export type PaperFormat = z.infer<typeof paperFormatSchema>

/** The sheets that can be printed, and what they are called. */
export const sheetNames = {
  kit: 'The kit, bag by bag',
  tin: 'Cards for the tin',
  road: 'Stops, shops and gaps',
  exits: 'Ways out',
  mend: 'What to do when it fails',
  identity: 'Who I am',
} as const
export type SheetId = keyof typeof sheetNames
export const sheetIds = Object.keys(sheetNames) as SheetId[]
