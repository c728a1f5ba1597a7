import type { CardSpot } from '#core/road'
import { scaleBarKm } from './road-plan'

/** What part of the land a sheet of squared paper shows: its middle, and how wide a km is drawn. */
export interface Sheet {
  readonly eastKm: number
  readonly northKm: number
  readonly pxPerKm: number
}

/** A sheet shows as much land as this at least, so that there is room to draw on. */
const leastKm = 40
/** And so much of it lies around what is drawn. */
const around = 1.5

/** The sheet on which some places have room around them. */
export function sheetFor(spots: readonly CardSpot[], width: number, height: number): Sheet {
  const [east, north] = [spots.map(({ eastKm }) => eastKm), spots.map(({ northKm }) => northKm)]
  const span = (values: number[]) => Math.max(leastKm, (Math.max(...values) - Math.min(...values)) * around)
  const middle = (values: number[]) => (Math.max(...values) + Math.min(...values)) / 2
  return {
    eastKm: middle(east),
    northKm: middle(north),
    pxPerKm: Math.min(width / span(east), height / span(north)),
  }
}

export function onSheet(sheet: Sheet, width: number, height: number, spot: CardSpot): { x: number; y: number } {
  return {
    x: width / 2 + (spot.eastKm - sheet.eastKm) * sheet.pxPerKm,
    y: height / 2 - (spot.northKm - sheet.northKm) * sheet.pxPerKm,
  }
}

export function spotAt(sheet: Sheet, width: number, height: number, x: number, y: number): CardSpot {
  return {
    eastKm: sheet.eastKm + (x - width / 2) / sheet.pxPerKm,
    northKm: sheet.northKm - (y - height / 2) / sheet.pxPerKm,
  }
}

/** Where the squares of a sheet begin, and how wide they are in km. */
export function squaresOf(sheet: Sheet, width: number, height: number): { km: number; x: number[]; y: number[] } {
  const km = scaleBarKm(Math.min(width, height) / 3 / sheet.pxPerKm)
  const lines = (lowKm: number, highKm: number) => {
    const first = Math.ceil(lowKm / km)
    return Array.from({ length: Math.max(0, Math.floor(highKm / km) - first + 1) }, (_, i) => (first + i) * km)
  }
  const corner = spotAt(sheet, width, height, 0, height)
  const far = spotAt(sheet, width, height, width, 0)
  return {
    km,
    x: lines(corner.eastKm, far.eastKm).map((eastKm) => onSheet(sheet, width, height, { eastKm, northKm: 0 }).x),
    y: lines(corner.northKm, far.northKm).map((northKm) => onSheet(sheet, width, height, { eastKm: 0, northKm }).y),
  }
}
