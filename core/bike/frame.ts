import { z } from 'zod'

export const frameShapes = ['diamond', 'sloping', 'full-suspension', 'folding', 'step-through'] as const
export const barShapes = ['drop', 'flat', 'upright'] as const

/** Proportions of a bike from the side: what its picture is drawn from. Planning values until measured. */
export const frameSchema = z.object({
  shape: z.enum(frameShapes).default('sloping'),
  material: z.enum(['steel', 'aluminium', 'titanium', 'carbon']).default('aluminium'),
  bar: z.enum(barShapes).default('flat'),
  wheelbaseMm: z.number().min(700).max(1500).default(1050),
  /** From the bottom bracket to the rear axle, mm. */
  chainstayMm: z.number().min(300).max(650).default(435),
  /** How far the bottom bracket lies below the line of the axles, mm. */
  dropMm: z.number().min(-150).max(100).default(70),
  headAngleDeg: z.number().min(60).max(80).default(71),
  seatAngleDeg: z.number().min(65).max(80).default(73.5),
  /** From the bottom bracket to the top of the head tube, mm, upwards. */
  stackMm: z.number().min(350).max(850).default(590),
  headTubeMm: z.number().min(60).max(350).default(150),
  /** From the bottom bracket along the seat tube, mm: to its top, and to the saddle. */
  seatTubeMm: z.number().min(200).max(700).default(500),
  saddleMm: z.number().min(350).max(900).default(730),
})
