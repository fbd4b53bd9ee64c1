import { expect, it } from 'vitest'
import { claimOutcomes } from './claim-outcomes'

/** Trade facts: common practice, no source. */
it('tells what claims of the same kind turned out to be, and what is worth knowing', () => {
  const past = [
    { says: 'It is only a fuse', kind: null, verdict: 'refuted' },
    { says: 'probably just the fuses', kind: null, verdict: 'confirmed' },
    { says: 'the little glass thing went', kind: 'fuse' as const, verdict: 'open' },
    { says: 'a box of fuses came with it', kind: 'other' as const, verdict: 'confirmed' },
    { says: 'refused to start', kind: null, verdict: 'refuted' },
  ]
  expect(claimOutcomes({ says: 'Only a fuse, he said', kind: null }, past)).toMatchObject({
    kind: 'fuse',
    confirmed: 1,
    refuted: 1,
    open: 1,
    says: 'Of 2 claims like “only a fuse” that were looked into here, 1 was confirmed and 1 refuted.',
  })
  expect(claimOutcomes({ says: 'Only a fuse', kind: null }, [])!.know).toContain('blows for a reason')
  expect(claimOutcomes({ says: 'untested', kind: null }, past)!.says).toBe('None like it was made here before.')
  expect(claimOutcomes({ says: 'a fine case', kind: null }, past)).toBeNull()
  // What somebody said it is counts, whatever its words.
  expect(claimOutcomes({ says: 'the little glass thing went', kind: 'fuse' }, past)!.open).toBe(1)
  expect(claimOutcomes({ says: 'only a fuse', kind: 'other' }, past)).toBeNull()
})
