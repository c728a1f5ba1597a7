import { describe, expect, it } from 'vitest'
import { isProxy, reactive, shallowReactive } from 'vue'
import { asPlain, withoutProxies } from '../../../app/session/plain-data'

describe('what forms hand over', () => {
  it('is plain data, however deep the wrappings lie', () => {
    const stop = reactive({ name: 'Quern', services: ['water'] })
    const parts = { stops: [{ name: 'Ford', services: [] }, stop], road: shallowReactive({ points: [[1, 2, null]] }) }
    const plain = withoutProxies(parts, undefined)
    expect(plain).toStrictEqual({
      stops: [
        { name: 'Ford', services: [] },
        { name: 'Quern', services: ['water'] },
      ],
      road: { points: [[1, 2, null]] },
    })
    expect([plain.stops[1], plain.stops[1]?.services, plain.road].some(isProxy)).toBe(false)
    expect(() => structuredClone(plain)).not.toThrow()
  })

  it('stays the very same where nothing of it is wrapped, and where it stood before', () => {
    const parts = { stops: [{ name: 'Ford' }], note: null }
    expect(withoutProxies(parts, undefined)).toBe(parts)
    const known = reactive({ name: 'Ford' })
    expect(withoutProxies(known, known)).toBe(known)
  })

  it('is not looked through where it was made here', () => {
    const points = asPlain([[1, 2, 3]])
    expect(withoutProxies({ points }, undefined).points).toBe(points)
  })
})
