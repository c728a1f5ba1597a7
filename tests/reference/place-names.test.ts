import en from '@openstreetmap/id-tagging-schema/dist/translations/en.json'
import enGb from '@openstreetmap/id-tagging-schema/dist/translations/en-GB.json'
import de from '@openstreetmap/id-tagging-schema/dist/translations/de.json'
import es from '@openstreetmap/id-tagging-schema/dist/translations/es.json'
import fr from '@openstreetmap/id-tagging-schema/dist/translations/fr.json'
import itIt from '@openstreetmap/id-tagging-schema/dist/translations/it.json'
import nl from '@openstreetmap/id-tagging-schema/dist/translations/nl.json'
import { placeWords } from '#catalogue'
import { placesSeenOnce } from '#core/supply'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { dictionaryPlaces } from '../roads/dictionary-places'

/*
 * Names of places by people who have not seen our words for them: those by which mappers choose what they map, in the tagging
 * schema of OpenStreetMap's editor (package @openstreetmap/id-tagging-schema 6, ISC licence), in six languages, with aliases.
 *
 * Tried for the first time 134 of 186 were understood, 51 of 84 shops and workshops, and every shop of anything passed
 * for one with food. Words that lacked were then added.
 */
const translationSchema = z.object({
  presets: z.object({
    presets: z.record(z.string(), z.object({ name: z.string().optional(), aliases: z.string().optional() })),
  }),
})
const translations = [en.en, enGb['en-GB'], de.de, es.es, fr.fr, itIt.it, nl.nl].map((each) =>
  Object.entries(translationSchema.parse(each).presets.presets).map(([tag, { name = '', aliases = '' }]) => ({
    tag,
    names: [name, ...aliases.split('\n')].filter((each) => each !== ''),
  })),
)

/** What places with these tags have for a rider. */
const has = new Map([
  ['shop/bicycle', 'bike-shop'],
  ...['shop/outdoor', 'shop/sports'].map((tag) => [tag, 'outdoor-shop'] as const),
  ...['shop/hardware', 'shop/doityourself'].map((tag) => [tag, 'hardware-store'] as const),
  ...['shop/supermarket', 'shop/convenience', 'shop/general'].map((tag) => [tag, 'supermarket'] as const),
  ['amenity/fuel', 'fuel-station'],
  ['amenity/post_office', 'post'],
  ...['shop/car_repair', 'craft/blacksmith'].map((tag) => [tag, 'workshop'] as const),
  ...['amenity/drinking_water', 'amenity/fountain'].map((tag) => [tag, 'water'] as const),
  ...['hotel', 'hostel', 'guest_house', 'motel', 'alpine_hut'].map((tag) => [`tourism/${tag}`, 'bed'] as const),
  ...['railway/station', 'railway/halt'].map((tag) => [tag, 'train'] as const),
  ['amenity/ferry_terminal', 'ferry'],
  ...['highway/bus_stop', 'amenity/bus_station'].map((tag) => [tag, 'bus'] as const),
])
/** Shops by other names that sell what helps, too: a rural store, a department store. */
const sellsWhatHelps =
  /^shop\/(supermarket|farm|country_store|agrarian|trade|department_store|mall|deli|health_food|motorcycle|repair|water|fuel|gas|yes)/
/** What is near enough to be proposed, too: a hut without a warden, a lift, a tap, a platform. */
const isNear = /hut|cabin|aerialway|water|spring|ferry|railway|train|bus|station|shop|garage|fuel|post|hotel|apartment/

const shareOf = (some: readonly { found: boolean }[]) => some.filter(({ found }) => found).length / some.length
const isShop = ({ expected }: { expected: string }) => /-shop|-store|market/.test(expected)
const look = placesSeenOnce(placeWords)
const seen = (name: string) => look({ name, hint: '' }).map((each) => ('exit' in each ? each.exit : each.service))

describe('what mappers name is understood', () => {
  const named = translations.flat().flatMap(({ tag, names }) => {
    const expected = has.get(tag)
    return expected === undefined ? [] : names.map((name) => ({ name, expected, found: seen(name).includes(expected) }))
  })

  it('of shops nine in ten, and of everything', () => {
    const shops = named.filter(isShop)
    expect(shops.length).toBeGreaterThan(60)
    expect(shareOf(shops)).toBeGreaterThan(0.9)
    expect(named.length).toBeGreaterThan(180)
    expect(shareOf(named)).toBeGreaterThan(0.9)
  })

  it('also written in capitals, with a village before or after, and as a tag', () => {
    for (const { name, expected } of named.filter(({ found }) => found)) {
      expect(seen(name.toUpperCase()), name).toContain(expected)
      expect(seen(`Ashmere: ${name}`), name).toContain(expected)
      expect(seen(`${name} Ashmere`), name).toContain(expected)
    }
    const tags = [...has.keys()].filter((tag) => !/station|halt|fountain|general/.test(tag))
    for (const tag of tags) expect(seen(tag.replace('/', '=')), tag).toContain(has.get(tag))
  })
})

describe('what dictionaries call places', () => {
  // Tried for the first time, after the words for what mappers name: 107 of 155, of shops 28 of 44. Then words were added.
  const named = Object.entries(dictionaryPlaces).flatMap(([expected, names]) =>
    names.map((name) => ({ name, expected, found: seen(name).includes(expected) })),
  )
  it('is understood of shops nine in ten, and of everything', () => {
    expect(shareOf(named.filter(isShop))).toBeGreaterThan(0.9)
    expect(shareOf(named)).toBeGreaterThan(0.9)
  })
})

describe('what is something else', () => {
  const others = translations.flat().filter(({ tag }) => !has.has(tag))

  it('is rarely taken for help: of shops that sell other things one in sixteen', () => {
    const shops = others
      .filter(({ tag }) => tag.startsWith('shop/') && !sellsWhatHelps.test(tag))
      .flatMap(({ names }) => names)
    expect(shops.length).toBeGreaterThan(1100)
    expect(shops.filter((name) => seen(name).length > 0).length / shops.length).toBeLessThan(1 / 16)
  })
  it('and of what is not even near one in a hundred', () => {
    const far = others.filter(({ tag }) => !isNear.test(tag)).flatMap(({ names }) => names)
    expect(far.length).toBeGreaterThan(5000)
    expect(far.filter((name) => seen(name).length > 0).length / far.length).toBeLessThan(0.01)
  })
})
