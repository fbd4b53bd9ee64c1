/** Of a machine that nobody has appraised: the middle of 1 to 16. */
const unappraised = 8

/**
 * What it is worth to the house that a machine runs: one, and what its appraisal gives it for each kind of significance, from 0 to 3 each.
 * @param significance each kind with its points; nothing where nobody has appraised it
 * @returns from 1 to 16. Common practice, no source.
 */
export const weightOf = (significance: Readonly<Record<string, number>> | null): number =>
  significance ? Object.values(significance).reduce((all, one) => all + one, 1) : unappraised
