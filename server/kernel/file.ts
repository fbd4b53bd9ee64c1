import type { Assessment } from '#core/planning/assess'
import type { Tx } from './history/journal'
import type { machines } from './trunk'

export type MachineRow = typeof machines.$inferSelect
/** Machines of the same model, counted: how many there are besides this one, with a battery that leaked, and signed off. */
export interface SistersCounted {
  all: number
  leaked: number
  signedOff: number
}

/**
 * Everything that is kept of one machine, gathered; what the rules of the core are asked about. Each chapter adds its rows, and what
 * a machine rests on, beside where it declares them: `declare module '../../kernel/file' { interface MachineFile extends … }`.
 */
export interface MachineFile {
  machine: MachineRow
  sisters: SistersCounted
}

/** What a chapter is given to make its part of a sheet. */
export interface ViewInput {
  tx: Tx
  file: MachineFile
  assessment: Assessment
  /** Instant in UTC with milliseconds. */
  now: string
}
