import { pressureLimit, ridingBarOf, type PressureLimit } from '../air'
import { linksWhenNew, spokePlaces, spokesOf, type Bike, type Fastener, type SpokePlace } from '../bike'

/** One wheel's air. */
export interface TinTyre {
  readonly wheel: 'front' | 'rear'
  readonly size: string
  readonly isTubeless: boolean
  readonly bar: number
  /** More than this it must not have; nothing where nobody has said. */
  readonly limit: PressureLimit | undefined
}

/** What one wants to know of a bike with the tin open and no signal: pressures, torques, and the size of every spare. */
export interface TinCard {
  readonly bike: string
  readonly tyres: readonly TinTyre[]
  readonly valve: Bike['valve']
  readonly spokes: readonly { readonly place: SpokePlace; readonly mm: number; readonly isMeasured: boolean }[]
  readonly gears: Pick<Bike, 'gears' | 'speeds' | 'chainrings' | 'sprockets' | 'hanger' | 'hangerOfFrame' | 'lockring'>
  readonly chain: { readonly links: number; readonly isCounted: boolean }
  readonly brakes: Pick<Bike, 'brakes' | 'padShape' | 'padCompound'>
  /** Inner cables at their least length, those that were measured. */
  readonly cables: readonly { readonly cable: keyof Bike['cables']; readonly mm: number }[]
  readonly pedals: Bike['pedals']
  readonly bolts: readonly Pick<Fastener, 'name' | 'count' | 'drive' | 'torqueNm' | 'wantsTorqueKey'>[]
}

/** The card of a bike for the tin. */
export function tinCard(bike: Bike): TinCard {
  const { gears, speeds, chainrings, sprockets, hanger, hangerOfFrame, lockring } = bike
  const spokes = spokesOf(bike)
  return {
    bike: bike.name,
    tyres: (['front', 'rear'] as const).map((wheel) => ({
      wheel,
      size: bike.tyres[wheel].size,
      isTubeless: bike.tyres[wheel].tubeless,
      bar: ridingBarOf(bike.tyres[wheel]),
      limit: pressureLimit(bike, wheel),
    })),
    valve: bike.valve,
    spokes: spokePlaces.flatMap((place) =>
      spokes
        .filter((spoke) => spoke.place === place)
        .map(({ lengthMm, measured }) => ({ place, mm: Math.round(lengthMm), isMeasured: measured })),
    ),
    gears: { gears, speeds, chainrings, sprockets, hanger, hangerOfFrame, lockring },
    chain: { links: bike.chainLinks ?? linksWhenNew(bike), isCounted: bike.chainLinks !== null },
    brakes: { brakes: bike.brakes, padShape: bike.padShape, padCompound: bike.padCompound },
    cables: (['frontBrakeMm', 'rearBrakeMm', 'frontShiftMm', 'rearShiftMm'] as const).flatMap((cable) => {
      const mm = bike.cables[cable]
      return mm === null ? [] : [{ cable, mm }]
    }),
    pedals: bike.pedals,
    bolts: bike.fasteners
      .filter(({ torqueNm }) => torqueNm.most > 0)
      .map(({ name, count, drive, torqueNm, wantsTorqueKey }) => ({ name, count, drive, torqueNm, wantsTorqueKey })),
  }
}
