import type { InjectionKey } from 'vue'
import type { z } from 'zod'

/** Whether a form needs something in this field before it can be sent. */
export const neededKey: InjectionKey<(field: string) => boolean> = Symbol('needed')

/** By its contract: a field of it that nothing, in whatever way it is empty, will do for. */
export function needs(contract: z.ZodType, field: string): boolean {
  // By its looks, not its class: a page without a form needs no library of contracts.
  const shape = 'shape' in contract ? (contract.shape as Record<string, z.ZodType | undefined>)[field] : undefined
  return shape !== undefined && ![undefined, '', null].some(nothing => shape.safeParse(nothing).success)
}
