import { z } from 'zod'

/**
 * Characters that a document may hold: those of XML 1.0 (§ 2.2, Char), in which a road is handed on. All of Unicode but
 * control characters, other than tab and line ends, halves of surrogate pairs, and U+FFFE and U+FFFF.
 */
// eslint-disable-next-line no-control-regex -- Control characters are what is looked for.
const unwritable = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/u

/** A text of at most so many characters that can be kept, sent and written into any document. */
export const text = (most: number) =>
  z
    .string()
    .max(most)
    .refine((value) => !unwritable.test(value), 'a text without control characters and halves of characters')

/** Names a part of a trip for the other parts; equal only to the very same characters. */
export const idSchema = text(60).min(1)

/** What people call something. */
export const nameSchema = text(120).min(1)

/** The first characters of a text, none of them cut in half. */
export const cutTo = (value: string, most: number) => Array.from(value).slice(0, most).join('')
