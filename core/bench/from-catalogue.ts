import { thingSchema, type CatalogueItem, type Thing } from './schema'

/** So many of a thing of the catalogue, as they lie on a bench under an id of their own. */
export function thingFrom({ source: _, group: __, price: ___, ...item }: CatalogueItem, id: string, count = 1): Thing {
  return thingSchema.parse({ ...item, id, from: item.id, count })
}
