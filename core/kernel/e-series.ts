import { significant } from './figure'
/** Preferred values of one decade, 5 % components. Source: IEC 60063, series E24. */
export const e24 = [1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1] as const

/** The smallest value of the E24 series that is not below. @param value above zero, in any unit */
export function e24AtLeast(value: number): number {
  const decade = 10 ** Math.floor(Math.log10(value) + 1e-9)
  // What is a preferred value but for rounding counts as one.
  const step = e24.find(v => v * decade >= value * (1 - 1e-9)) ?? 10
  return significant(step * decade)
}
/** Preferred values of one decade that capacitors are made in. Source: IEC 60063, series E6. */
export const e6 = [1.0, 1.5, 2.2, 3.3, 4.7, 6.8] as const

/** The value of the E6 series that is nearest, by its ratio. @param value above zero, in any unit */
export function e6Nearest(value: number): number {
  const decade = 10 ** Math.floor(Math.log10(value) + 1e-9)
  const steps = [...e6, 10].map(step => step * decade)
  return significant(steps.reduce((best, step) => (Math.abs(Math.log(step / value)) < Math.abs(Math.log(best / value)) ? step : best)))
}
