import { migrate, tripFormat, tripSchema, type Trip } from '#core/trip'

/** A trip of a document that this or an older Rag Tin kept on the device. @throws ZodError where it is none */
export async function readKept(document: { readonly format: unknown }): Promise<Trip> {
  if (document.format === tripFormat) return tripSchema.parse(document)
  // Only then: the first page has no need of it.
  const { catalogue } = await import('#catalogue')
  return tripSchema.parse(migrate(document, catalogue))
}
