/** Which customary units a rider reads. */
export type UnitSystem = 'metric' | 'imperial'
