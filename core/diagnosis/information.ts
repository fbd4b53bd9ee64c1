/** Shannon's measure of not knowing, in bits. Source: Shannon 1948, A mathematical theory of communication. @param shares add up to 1 */
export const entropyBits = (shares: readonly number[]) => shares.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)

/**
 * What a test is expected to tell, in bits: the entropy of what it may answer, less what of it is mere chance.
 * Source: Shannon 1948 (mutual information); used for the choice of probes by de Kleer and Williams 1987.
 * @param weights how likely each explanation is; they need not add up to 1
 * @param answers for each explanation, how likely each answer is
 */
export function expectedGainBits(weights: readonly number[], answers: readonly (readonly number[])[]): number {
  const all = weights.reduce((sum, w) => sum + w, 0)
  if (!(all > 0)) return 0
  const kinds = answers[0]?.length ?? 0
  const overall = Array.from({ length: kinds }, (_, k) => weights.reduce((sum, w, i) => sum + (w / all) * answers[i]![k]!, 0))
  const chance = weights.reduce((sum, w, i) => sum + (w / all) * entropyBits(answers[i]!), 0)
  return Math.max(0, entropyBits(overall) - chance)
}
