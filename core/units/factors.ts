/**
 * Exact conversion factors to the core's own units.
 * Source: NIST Special Publication 811 (2008), Appendix B; the international
 * yard, pound and mile are exact by definition.
 */
export const GRAMS_PER_OUNCE = 28.349523125
export const GRAMS_PER_POUND = 453.59237
export const KM_PER_MILE = 1.609344
export const METRES_PER_FOOT = 0.3048
export const MM_PER_INCH = 25.4
/** 1 lbf/in² = 4.4482216152605 N / 0.00064516 m²; 1 bar = 100 000 Pa. */
export const BAR_PER_PSI = 4.4482216152605 / 0.00064516 / 100_000
/** 0 °F = −32 · 5/9 °C. */
export const FAHRENHEIT_ZERO_C = -32 / 1.8
/** 1 lbf = 4.4482216152605 N, exact by definition of the pound and of standard gravity. */
export const NEWTON_PER_POUND_FORCE = 4.4482216152605
/** 1 lbf·ft. */
export const NEWTON_METRE_PER_FOOT_POUND = NEWTON_PER_POUND_FORCE * METRES_PER_FOOT
/** US customary fluid ounce. */
export const ML_PER_FLUID_OUNCE = 29.5735295625
