import { fixed } from '#core/kernel/figure'

/** A rail's voltage in big figures: two decimals, one from a hundred volts up, with a true minus sign. */
export const railFigure = (valueV: number) => `${fixed(valueV, Math.abs(valueV) < 100 ? 2 : 1)} V`
