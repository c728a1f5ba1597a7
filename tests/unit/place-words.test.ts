import { catalogue, placeWords } from '#catalogue'
import {
  newStop,
  placesSeenOnce,
  proposalsFor,
  serviceSchema,
  withoutProposal,
  withProposals,
  wordsOf,
  type Stop,
} from '#core/supply'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

const look = placesSeenOnce(placeWords)
const has = (name: string, hint = '') =>
  look({ name, hint }).map((each) => ('service' in each ? each.service : each.exit))

describe('the words of a name', () => {
  it.each([
    ['BikeShop Aldermill', ['bike', 'shop', 'aldermill']],
    ['Épicerie d’Altmoor – 24h/24', ['epicerie', 'daltmoor', '24h', '24']],
    ['  ', []],
    ['Straße 7', ['strasse', '7']],
    ['shop=bicycle', ['shop', 'bicycle']],
  ])('of “%s”', (text, words) => expect(wordsOf(text)).toEqual(words))
})

describe('what a place seems to have', () => {
  // Names as riders and planners write them: common practice, no source.
  it.each([
    ['Bike shop Aldermill', ['bike-shop']],
    ['bikeshop', ['bike-shop']],
    ['Aldermill Cycles (closed Mon)', ['bike-shop']],
    ['LAST BIKE SHOP!!!', ['bike-shop']],
    ['Fahrradladen Altmoor', ['bike-shop']],
    ['Zweirad Quernau', ['bike-shop']],
    ['Taller de bicicletas', ['bike-shop']],
    ['Ferrow: bike repair + cafe', ['bike-shop']],
    ['water tap', ['water']],
    ['Water (fountain by the church)', ['water']],
    ['H2O', ['water']],
    ['Fontaine', ['water']],
    ['Shop + water', ['supermarket', 'water']],
    ['Village shop, post office', ['post', 'supermarket']],
    ['Hotel Skerry, food', ['supermarket', 'bed']],
    ['Grindle Pass hut', ['bed']],
    ['Berghütte', ['bed']],
    ['Petrol station w/ shop', ['fuel-station', 'supermarket']],
    ['Tankstelle', ['fuel-station']],
    ['Hardware store', ['hardware-store']],
    ['Outdoor shop', ['outdoor-shop']],
    ['Garage Brannock, welds', ['workshop']],
    ['Autowerkstatt', ['workshop']],
    ['Railway station Saltmoor', ['train']],
    ['Bahnhof', ['train']],
    ['Ferry to Skerry', ['ferry']],
    ['Bus stop', ['bus']],
    ['B&B Corrie', ['bed']],
  ])('“%s”', (name, expected) => expect(has(name)).toEqual(expected))

  it.each([
    'Waterford',
    'Water Street 4',
    'Watermill',
    'Quern Falls',
    'no water for 80 km',
    'No bike shop here',
    'former petrol station',
    'Bike path starts',
    'Coffee shop',
    'Border post',
    'old railway tunnel',
    'Summit 1240 m',
    'Ford, deep in May',
    'Skerry Point',
    'Innerleigh',
    'Postbridge',
    'Busby',
    '',
  ])('nothing at “%s”', (name) => expect(has(name)).toEqual([]))

  it('goes by the symbol and the type of a file too, each said for itself', () => {
    expect(has('Aldermill', 'Drinking Water')).toEqual(['water'])
    expect(has('WP 014', 'Bike Shop, poi')).toEqual(['bike-shop'])
    expect(has('Quillby', 'shop=supermarket')).toEqual(['supermarket'])
    expect(has('Lodge', 'Lodging')).toEqual(['bed'])
    expect(has('Quern', 'Flag, Blue')).toEqual([])
    // The last word of a name and the first of a symbol are no phrase.
    expect(has('Water', 'Street')).toEqual(['water'])
    // A season is no well, and a place is no denial.
    expect(has('Ford, deep in spring')).toEqual([])
    expect(has('Spring, drinking water in Hask')).toEqual(['water'])
  })

  it('names nothing twice, and nothing that the catalogue does not have', () => {
    expect(has('Bike shop, cycle repair', 'bike shop')).toEqual(['bike-shop'])
    const kinds = catalogue.services.map(({ id }) => id)
    for (const { has: each } of placeWords) if (each && 'service' in each) expect(kinds).toContain(each.service)
  })
})

describe('proposals', () => {
  const seen = (stop: Stop) => look(stop)
  const stops = [
    newStop('a', 'Bike shop, railway station and ferry', 10),
    { ...newStop('b', 'Shop and water', 20), services: [serviceSchema.parse({ kind: 'water', hours: '24/7' })] },
    newStop('c', 'Summit', 30),
  ]
  const told = (list: readonly Stop[]) =>
    proposalsFor(list, seen).map(({ stop, has: each }) => `${stop.id} ${Object.values(each).join()}`)

  it('are what a stop seems to have and is not said to have', () => {
    expect(told(stops)).toEqual(['a bike-shop', 'a train', 'a ferry', 'b supermarket'])
    expect(told([{ ...nth(stops, 0), exit: 'bus' }])).toEqual(['a bike-shop'])
  })
  it('taken, one or all, are there as on a map, beside what was there, and are proposed no more', () => {
    const all = withProposals(stops, proposalsFor(stops, seen))
    expect(told(all)).toEqual([])
    expect(all.map(({ services }) => services.map(({ kind, knownFrom, hours }) => [kind, knownFrom, hours]))).toEqual([
      [['bike-shop', 'map', '']],
      [
        ['water', 'map', '24/7'],
        ['supermarket', 'map', ''],
      ],
      [],
    ])
    expect(all.map(({ exit }) => exit)).toEqual(['train', null, null])
    const first = withProposals(stops, proposalsFor(stops, seen).slice(0, 1))
    expect(told(first)).toEqual(['a train', 'a ferry', 'b supermarket'])
    expect(first.slice(1)).toEqual(stops.slice(1))
  })
  it('that the name itself doubts are taken as hearsay', () => {
    const doubted = ['Bike shop?? ask', 'Maybe a bike shop', 'Bike shop (Vielleicht!)'].map((name) =>
      newStop('a', name, 1),
    )
    const sure = ['Bike shop', 'Maybelle bike shop'].map((name) => newStop('a', name, 1))
    const from = (list: readonly Stop[]) =>
      list
        .flatMap((stop) => withProposals([stop], proposalsFor([stop], seen)))
        .map(({ services }) => services[0]?.knownFrom)
    expect(from(doubted)).toEqual(['hearsay', 'hearsay', 'hearsay'])
    expect(from(sure)).toEqual(['map', 'map'])
  })
  it('said not to be there are proposed no more', () => {
    const [first] = proposalsFor(stops, seen)
    const without = first ? withoutProposal(first) : nth(stops, 0)
    expect(told([without, ...stops.slice(1)])).toEqual(['a train', 'a ferry', 'b supermarket'])
    expect(without.services).toEqual([])
  })
})
