import { expect, it } from 'vitest'
import { seeded } from '#core/kernel/random'
import { simulations } from './index'

it.each(simulations)('$title says no more than it knows', { timeout: 60_000 }, ({ simulate, runs }) => {
  expect(simulate(seeded(1), runs).failures).toEqual([])
})
