// @ts-expect-error jstat ships no types of its own; what is used of it is said below.
import untyped from 'jstat'

const { beta, betaln } = untyped as { beta: { inv: (share: number, alpha: number, beta: number) => number }; betaln: (x: number, y: number) => number }

/** The quantile of the beta distribution. @param share from 0 to 1 */
export const betaQuantile = (share: number, alpha: number, betaShape: number): number => beta.inv(share, alpha, betaShape)

/** The logarithm of the beta function. */
export const lnBeta = (x: number, y: number): number => betaln(x, y)
