import { type Allocation, type Unlock, allocate, bestPurchase } from '#core/parts/allocation/allocate'
import { TooLarge } from '#core/parts/allocation/programme'
import { type Question, questionOf } from '#core/parts/allocation/question'
import { InputError } from '#core/kernel/input-error'
import { openSolver } from '../kernel/solver'
import { giveWay } from '../kernel/turns/give-way'

giveWay()

export interface AllocationTask {
  question: Question
  /** Whether it is asked what to buy, too. */
  buys: boolean
}
export type AllocationDone = { allocation: Allocation; one: Unlock | null; two: Unlock | null } | { tooLarge: string }

/** Weighs who gets what, and what should be bought, beside the request loop. */
export default async function weigh({ question, buys }: AllocationTask): Promise<AllocationDone> {
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
