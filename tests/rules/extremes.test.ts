import { expect, it } from 'vitest'
import { extremesFor } from '../../scripts/attack/extremes'

it('what a contract lets in, every rule can read: at its extremes, later on, and under a clock that was set back', async () => {
  const { figures, failures } = await extremesFor(3, 6)
  expect(failures).toEqual([])
  expect(figures['kept and read back']).toBeGreaterThan(30)
}, 120_000)
