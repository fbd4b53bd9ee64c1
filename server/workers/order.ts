import { TooLarge } from '#core/kernel/programme'
import { type RecapOrder, type RecapOrderInput, recapOrder } from '#core/parts/recap/order'
import { InputError } from '#core/kernel/input-error'
import { openSolver } from '../kernel/solver'
import { giveWay } from '../kernel/turns/give-way'

giveWay()

export type OrderDone = { order: RecapOrder } | { tooLarge: string }

/** Finds the cheapest way to buy what several lists want, beside the request loop. */
export default async function buy(input: RecapOrderInput): Promise<OrderDone> {
  try {
    return { order: recapOrder(input, await openSolver()) }
  } catch (error) {
    if (error instanceof TooLarge || error instanceof InputError) return { tooLarge: error.message }
    throw error
  }
}
