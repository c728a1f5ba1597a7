import { describe, expect, it } from 'vitest'
import { comesFromHere } from '../../server/http/origin'

const host = 'tin.example'
const [here, elsewhere] = ['https://tin.example', 'https://other.example']

describe('a request that changes something', () => {
  it.each<[string, string | undefined, string | undefined, boolean]>([
    ['of the app’s own page', 'same-origin', here, true],
    ['of the app’s own page, in a browser that does not tell of sites', undefined, here, true],
    ['of something that is no browser', undefined, undefined, true],
    ['of the app’s own page by another scheme, behind a proxy', undefined, 'http://tin.example', true],
    ['of another site', 'cross-site', elsewhere, false],
    ['of a neighbour in the same domain', 'same-site', 'https://evil.tin.example', false],
    ['of another site, in a browser that does not tell of sites', undefined, elsewhere, false],
    ['that pretends to be of the same site', 'same-origin', elsewhere, false],
    ['of another port', undefined, 'https://tin.example:8443', false],
    ['of a page without an origin, such as a frame in a sandbox', undefined, 'null', false],
    ['of no page, which changes nothing in the app', 'none', undefined, false],
    ['with an origin that is none', undefined, 'tin.example', false],
  ])('%s', (_, site, origin, comes) => {
    expect(comesFromHere({ site, origin, host }, '')).toBe(comes)
  })

  it('must come from the very place that the app is said to be at', () => {
    const from = (origin: string) => comesFromHere({ site: undefined, origin, host: '127.0.0.1:3000' }, here)
    expect(from(here)).toBe(true)
    expect(from('http://tin.example')).toBe(false)
    expect(from('http://127.0.0.1:3000')).toBe(false)
  })
})
