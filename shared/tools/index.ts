import { identifyDateCode } from './identify-date-code'
import { powerRails } from './power-rails'
import { safetyGate } from './safety-gate'
import type { Tool } from './tool'

/** Every instrument, in the order of the work. */
export const tools = [identifyDateCode, safetyGate, powerRails] as unknown as Tool<never, unknown>[]

export const toolById = (id: string) => tools.find(tool => tool.id === id)
