import { NoPosition, type Locator } from './position'

/** Longer than this nobody waits in the rain, ms; a position that is a minute old is as good. */
const patience = { timeout: 20_000, maximumAge: 60_000 } as const

const faults: Readonly<Record<number, string>> = {
  1: 'This device may not say where it is: allow it in the browser’s settings, or type the kilometre.',
  2: 'This device does not know where it is: no sky, perhaps. Type the kilometre.',
  3: 'No position came in time: no sky, perhaps. Try again in the open, or type the kilometre.',
}

/** The position of the device itself, as its browser tells it. */
export const devicePosition: Locator = {
  name: 'this device',
  where: () =>
    new Promise((resolve, reject) => {
      if (!('geolocation' in navigator)) {
        reject(new NoPosition('This browser tells no position. Type the kilometre.'))
        return
      }
      navigator.geolocation.getCurrentPosition(
        ({ coords: { latitude, longitude, accuracy } }) =>
          resolve({ lat: latitude, lon: longitude, accuracyM: accuracy }),
        ({ code, message }) => reject(new NoPosition(faults[code] ?? message)),
        { ...patience, enableHighAccuracy: true },
      )
    }),
}
