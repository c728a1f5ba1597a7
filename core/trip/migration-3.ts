/*
 * What rag-tin.trip/3 said otherwise: a place for things on a bike had no id to hold on to.
 */

type Loose = Record<string, unknown>
const isLoose = (value: unknown): value is Loose => value !== null && typeof value === 'object' && !Array.isArray(value)

/** A bike of the third format: each of its places for things gets an id. */
export function bikeFrom3(bike: Loose): Loose {
  if (!Array.isArray(bike.storage)) return bike
  const places = bike.storage as unknown[]
  const known = new Set(places.map((place) => (isLoose(place) ? place.id : undefined)))
  let number = 0
  const next = () => {
    do number++
    while (known.has(`place-${number}`))
    return `place-${number}`
  }
  return {
    ...bike,
    storage: places.map((place) => (isLoose(place) && !('id' in place) ? { id: next(), ...place } : place)),
  }
}

/** A whole document of the third format. */
export function tripFrom3(document: Loose): Loose {
  const { bikes } = document
  if (!Array.isArray(bikes)) return document
  return { ...document, bikes: (bikes as unknown[]).map((bike) => (isLoose(bike) ? bikeFrom3(bike) : bike)) }
}
