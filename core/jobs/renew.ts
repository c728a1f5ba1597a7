import type { Bike } from '../bike'
import type { Renewal } from './schema'

/** A bike on which something is new. */
export function renewed(bike: Bike, what: Renewal): Bike {
  const { tyres } = bike
  switch (what) {
    case 'pads':
      return { ...bike, padLeft: 1 }
    case 'chain':
      return { ...bike, chainLeft: 1 }
    case 'cables':
      return { ...bike, cablesLeft: 1 }
    case 'sealant':
      return { ...bike, sealantLeft: 1 }
    case 'front tread':
      return { ...bike, tyres: { ...tyres, front: { ...tyres.front, treadLeft: 1 } } }
    case 'rear tread':
      return { ...bike, tyres: { ...tyres, rear: { ...tyres.rear, treadLeft: 1 } } }
    case 'bolts':
      return { ...bike, boltsLocked: true }
    case 'acquaintance':
      return { ...bike, known: true }
  }
}

/** How much of something a bike has left, 1 when it is new. */
export function leftOf(
  { padLeft, chainLeft, cablesLeft, sealantLeft, tyres, boltsLocked, known }: Bike,
  what: Renewal,
): number {
  switch (what) {
    case 'pads':
      return padLeft
    case 'chain':
      return chainLeft
    case 'cables':
      return cablesLeft
    case 'sealant':
      return sealantLeft
    case 'front tread':
      return tyres.front.treadLeft
    case 'rear tread':
      return tyres.rear.treadLeft
    case 'bolts':
      return boltsLocked ? 1 : 0
    case 'acquaintance':
      return known ? 1 : 0
  }
}
