/** A figure with so many digits that count, for sentences and for what is kept: 0.012346 with three is 0.0123. */
export const significant = (value: number, digits = 3): number => Number(value.toPrecision(digits))
/** A figure with so many decimals at most: 2.50 with one is 2.5. */
export const decimals = (value: number, places: number): number => Number(value.toFixed(places))
