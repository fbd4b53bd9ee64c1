import { type Allocation, type Unlock, allocate, bestPurchase } from '#core/parts/allocation/allocate'
import { TooLarge } from '#core/kernel/programme'
import { type Question, questionOf } from '#core/parts/allocation/question'
import type { Coming, WantedHere } from '#core/parts/buying/shortage'
import { type Bought, type ToBuy, toBuy } from '#core/parts/buying/to-buy'
import { InputError } from '#core/kernel/input-error'
import { openSolver } from '../kernel/solver'
import { giveWay } from '../kernel/turns/give-way'

giveWay()

/** Who gets what, and whether it is asked what to buy besides; or what nothing serves that is here or coming. */
export type AllocationTask = { question: Question; buys: boolean } | { short: { needs: WantedHere[]; coming: Coming[]; bought: Bought[] } }
export type AllocationDone = { allocation: Allocation; one: Unlock | null; two: Unlock | null } | { short: ToBuy } | { tooLarge: string }

/** Weighs who gets what, and what should be bought, beside the request loop. */
export default async function weigh(task: AllocationTask): Promise<AllocationDone> {
  if ('short' in task) return { short: toBuy(task.short.needs, task.short.coming, task.short.bought) }
  const { question, buys } = task
  const solve = await openSolver()
  try {
    const input = questionOf(question)
    const allocation = allocate(input, solve)
    const one = buys ? bestPurchase(input, 1, allocation, solve) : null
    return { allocation, one, two: buys ? bestPurchase(input, 2, allocation, solve, one) : null }
  } catch (error) {
    if (error instanceof TooLarge || error instanceof InputError) return { tooLarge: error.message }
    throw error
  }
}
