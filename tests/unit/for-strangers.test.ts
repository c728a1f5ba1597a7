import { catalogue, ofStrangers } from '#catalogue'
import { thingFrom } from '#core/bench'
import { wishToHelp } from '#core/candidates'
import { defaultHandN, turnsWith } from '#core/fit'
import { defined } from '#core/validation'
import { describe, expect, it } from 'vitest'

const item = (id: string) =>
  defined(
    catalogue.items.find((each) => each.id === id),
    id,
  )
const laid = (id: string) => thingFrom(item(id), id)
const nipples = ofStrangers.filter(({ drive }) => drive.profile === 'nipple')

describe('the wish to help on other bikes', () => {
  it('with one spoke key costs the one with four sizes: 32 g, by hand', () => {
    const { turned, addition } = wishToHelp(nipples, [laid('spoke-key')], catalogue.items, defaultHandN)
    expect(turned).toEqual([true, false, false, false])
    expect(addition.items.map(({ id }) => id)).toEqual(['spoke-key-four'])
    expect(addition.massG).toBe(32)
  })
  it('costs nothing where the kit turns it all, and with nothing carried what turns it all', () => {
    const whole = wishToHelp(nipples, [laid('spoke-key-four')], catalogue.items, defaultHandN)
    expect(whole.turned.every(Boolean)).toBe(true)
    expect(whole.addition).toMatchObject({ items: [], massG: 0, price: 0, hopeless: [] })
    const { addition, turned } = wishToHelp(ofStrangers, [], catalogue.items, defaultHandN)
    expect(turned.some(Boolean)).toBe(false)
    for (const fastener of ofStrangers)
      expect(turnsWith(fastener, addition.items, defaultHandN) || addition.hopeless.includes(fastener)).toBe(true)
    expect(addition.price).toBe(addition.items.reduce((sum, { price }) => sum + price, 0))
  })
  it('names each of its bolts once', () => {
    expect(new Set(ofStrangers.map(({ id }) => id)).size).toBe(ofStrangers.length)
  })
})
