import { headSchema } from '../bench'
import type { Tool } from './tool'

/** What a garage or a farm lends: a wrench too big to carry. Planning values. */
export const bigWrench: Tool = {
  id: 'a big wrench to borrow',
  comesApart: false,
  heads: [headSchema.parse({ profile: 'adjustable', size: 36, leverMm: 300, thickMm: 14, bodyMm: 20, reachMm: 40 })],
}
