import { expect, it } from 'vitest'
import { claimOutcomes } from './claim-outcomes'

/** Trade facts: common practice, no source. */
it('tells what claims of the same kind turned out to be, and what is worth knowing', () => {
  const past = [
    { says: 'It is only a fuse', verdict: 'refuted' },
    { says: 'probably just the fuses', verdict: 'confirmed' },
    { says: 'blown fuse', verdict: 'open' },
    { says: 'refused to start', verdict: 'refuted' },
  ]
  expect(claimOutcomes('Only a fuse, he said', past)).toMatchObject({
    kind: 'fuse',
    confirmed: 1,
    refuted: 1,
    open: 1,
    says: 'Of 2 claims like “only a fuse” that were looked into here, 1 was confirmed and 1 refuted.',
  })
  expect(claimOutcomes('Only a fuse', [])!.know).toContain('blows for a reason')
  expect(claimOutcomes('untested', past)!.says).toBe('None like it was made here before.')
  expect(claimOutcomes('a fine case', past)).toBeNull()
})
