import { money } from '#core/kernel/money'

/** Writes amounts in the money of the collection, once it is known which that is. */
export const useMoney =
  (currency: () => string | undefined) =>
  (amount: number): string =>
    money(amount, currency() ?? 'EUR')
