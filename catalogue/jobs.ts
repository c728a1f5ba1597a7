import { z } from 'zod'
import { jobSchema, type Job } from '#core/jobs'

/** What can be done to a bike at home. Minutes and prices are planning values from memory. */
const written: z.input<typeof jobSchema>[] = [
  {
    id: 'fresh-pads',
    name: 'fresh brake pads',
    renews: 'pads',
    minutes: 40,
    price: 2500,
    mechanic: 'Brakes: if the lever feels soft or comes to the bar afterwards, to a mechanic before the ride.',
    daysBefore: 5,
    caution: 'Brakes: bed new pads in on a quiet road, and have a mechanic look at them if in doubt.',
  },
  {
    id: 'new-chain',
    name: 'a new chain',
    renews: 'chain',
    minutes: 30,
    price: 3500,
    daysBefore: 5,
    caution: 'On worn sprockets a new chain skips: try it before the ride.',
  },
  {
    id: 'new-shift-cables',
    name: 'new shift cables',
    renews: 'cables',
    minutes: 60,
    price: 1500,
    daysBefore: 7,
    applies: { all: ['derailleur', 'cable-shift'] },
  },
  {
    id: 'sealant',
    name: 'sealant topped up',
    renews: 'sealant',
    minutes: 15,
    price: 800,
    applies: { all: ['tubeless'] },
  },
  {
    id: 'front-tyre',
    name: 'a new front tyre',
    renews: 'front tread',
    minutes: 30,
    price: 5000,
    caution: 'Mind the pressure that tyre and rim allow.',
  },
  {
    id: 'rear-tyre',
    name: 'a new rear tyre',
    renews: 'rear tread',
    minutes: 30,
    price: 5000,
    caution: 'Mind the pressure that tyre and rim allow.',
  },
  {
    id: 'bolts',
    name: 'bolts checked and locked',
    renews: 'bolts',
    minutes: 30,
    price: 100,
    mechanic: 'Carbon bars, posts and steerers: without a torque key leave those bolts to a mechanic.',
    caution: 'Tighten to the maker’s values; steering and carbon want a torque key. No thread locker on plastic.',
  },
  {
    id: 'get-to-know',
    name: 'an evening with it: both wheels out, every bolt turned once',
    renews: 'acquaintance',
    minutes: 120,
    price: 0,
    daysBefore: 7,
    caution: 'On a hired bike ask its owner first. Tighten to the maker’s values.',
  },
]

export const jobs: Job[] = z.array(jobSchema).parse(written)
