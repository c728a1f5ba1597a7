import { convert } from 'geo-coordinates-parser'

/**
 * Reads a position as people write one: "57.123, -33.456", "57°07.4′N 33°27.4′W".
 *
 * @returns degrees on WGS 84, or what to write instead
 */
export function readPosition(text: string): { lat: number; lon: number } | { error: string } {
  const { lat, lon } = degreesIn(text)
  if (Math.abs(lat) <= 90 && Math.abs(lon) <= 180) return { lat, lon }
  return { error: 'no position; write latitude and longitude, such as 57.12, -33.45 or 57°07′N 33°27′W' }
}

/** A position as one copies it: "57.12300, -33.45600", to a metre or so. */
export const writePosition = (lat: number, lon: number) => `${lat.toFixed(5)}, ${lon.toFixed(5)}`

/** Two plain numbers, which the parser refuses where they are whole. */
const plainPair = /^\s*([+-]?\d+(?:\.\d+)?)[\s,;]+([+-]?\d+(?:\.\d+)?)\s*$/

function degreesIn(text: string): { lat: number; lon: number } {
  const plain = plainPair.exec(text)
  if (plain) return { lat: Number(plain[1]), lon: Number(plain[2]) }
  try {
    const { decimalLatitude, decimalLongitude } = convert(text)
    return { lat: decimalLatitude, lon: decimalLongitude }
  } catch {
    // It says that the value is invalid, which helps nobody.
    return { lat: NaN, lon: NaN }
  }
}
