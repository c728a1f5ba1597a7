import { expect, it } from 'vitest'
import { SingleFlight } from '../../server/threads/single-flight'

it('what several ask for at the same time is done once; what is asked for later, or fails, is done again', async () => {
  const flights = new SingleFlight<string>()
  let done = 0
  const work =
    (fails = false) =>
    async () => {
      const number = ++done
      await new Promise((later) => setTimeout(later, 5))
      if (fails) throw new Error(`failed ${number}`)
      return `done ${number}`
    }
  const together = [flights.do('a', work()), flights.do('a', work()), flights.do('b', work())]
  expect(await Promise.all(together)).toEqual(['done 1', 'done 1', 'done 2'])
  expect(await flights.do('a', work())).toBe('done 3')
  const failing = [flights.do('a', work(true)), flights.do('a', work())]
  expect(await Promise.allSettled(failing)).toMatchObject([
    { reason: { message: 'failed 4' } },
    { reason: { message: 'failed 4' } },
  ])
  expect(await flights.do('a', work())).toBe('done 5')
})
