/** Densities of what is carried by the millilitre, g/mL, by supply class. Planning values. */
export const gPerMl: Readonly<Record<'lube' | 'sealant' | 'grease' | 'acid', number>> = {
  lube: 0.9,
  sealant: 1,
  grease: 0.9,
  acid: 1,
}

/** The density of a supply class; undefined where it is none that is poured. */
export const densityOf = (classId: string): number | undefined =>
  Object.entries(gPerMl).find(([fluid]) => fluid === classId)?.[1]
