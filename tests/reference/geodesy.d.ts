declare module 'geodesy/latlon-ellipsoidal-vincenty.js' {
  export default class LatLon {
    constructor(lat: number, lon: number)
    distanceTo(other: LatLon): number
  }
}
