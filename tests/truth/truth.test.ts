import { expect, it } from 'vitest'
import { seeded } from '#core/kernel/random'
import { simulations } from './index'
import { beyond } from './simulation'

it.each(simulations)('$title says no more than it knows', ({ simulate, runs }) => {
  const { figures, failures } = simulate(seeded(1), runs)
  expect([...failures, ...beyond(figures)]).toEqual([])
})
