import { describe, expect, it } from 'vitest'
import { failureOf } from '../../server/log/failure'

describe('what is written down of an error', () => {
  it('is its kind, its code and its place, never its words', () => {
    const failure = failureOf(Object.assign(new TypeError('rider maren@quern.example'), { code: 'ER_DUP_ENTRY' }))
    expect(failure).toMatchObject({ name: 'TypeError', code: 'ER_DUP_ENTRY' })
    expect(failure.at[0]).toContain('failure.test.ts')
    expect(JSON.stringify(failure)).not.toContain('maren')
  })

  it('words that look like places are no places', () => {
    const error = new Error('first\n    at home, says maren')
    expect(JSON.stringify(failureOf(error))).not.toContain('maren')
  })

  it('has its causes, and an end where they go in a circle', () => {
    const outer = new Error('one')
    outer.cause = new Error('two', { cause: outer })
    expect(JSON.stringify(failureOf(outer)).match(/cause/g)).toHaveLength(5)
    expect(failureOf('a word')).toEqual({ name: 'string', at: [] })
  })
})
