import type { MachineNarrowing } from '../../kernel/machine'

/** A list of machines that somebody kept under a name, with how many are in it now. */
export interface KeptList {
  id: number
  name: string
  query: Partial<MachineNarrowing>
  by: string
  machines: number
  atLeast: boolean
}

/** How many machines of a list are in each group, under everything else that is asked. */
export interface ListCounts {
  gate: Record<string, number>
  stage: Record<string, number>
  bench: Record<string, number>
  life: Record<string, number>
  acquired: Record<string, number>
  waiting: number
  place: { value: string; machines: number }[]
  model: { value: number; label: string; machines: number }[]
  owner: { value: string; machines: number }[]
}
