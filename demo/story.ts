import type { CommandRequest, MachineCommandName } from '#shared/contracts/commands'
import type { ModelKey } from './models'
import type { Who } from './people'

/** The grammar in which the demo machines' stories are told. Names stand for rows; the filler looks up their keys. */
type ByName = { assembly?: string, fault?: string, question?: string, part?: string, claim?: string }
type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never
type RequestByName<N extends MachineCommandName> = Without<CommandRequest<N>, 'version' | 'assemblyId' | 'faultId' | 'questionId' | 'partId' | 'claimId' | 'waitId' | 'until'> & ByName & { hours?: number }

export interface Step { daysAgo: number, who: Who, command: MachineCommandName, input: Record<string, unknown> }
export interface Story { model?: ModelKey, daysAgo: number, who: Who, arrives: Partial<CommandRequest<'book-in'>> & { fromWhom: string, acquired: CommandRequest<'book-in'>['acquired'] }, steps: Step[] }

/** One thing that was done. `hours` gives a wait its end, counted from its start. */
export const did = <N extends MachineCommandName>(daysAgo: number, who: Who, command: N, input: RequestByName<N>): Step => ({ daysAgo, who, command, input: input as Record<string, unknown> })

/** Grades of several assemblies found in one evening; a dash stands for a missing one. */
export const graded = (daysAgo: number, who: Who, found: Record<string, [grade: number | '-', note?: string]>): Step[] =>
  Object.entries(found).map(([assembly, [grade, note = '']]) => did(daysAgo, who, 'grade-assembly', { assembly, presence: grade === '-' ? 'missing' : 'present', grade: grade === '-' ? null : grade, note }))

/** Facts for power of a machine in good order; stories change what differs. */
export const inOrder = { filterCapacitors: 'replaced', battery: 'none-fitted', liquidOrDirt: 'no', burntTrace: 'no', shortedRail: 'no', mainsLead: 'sound', supply: 'known', fan: 'none-fitted', pictureTube: 'none', wiring: 'known', smoke: 'no' }
export const external = { ...inOrder, filterCapacitors: 'none-fitted', mainsLead: 'not-used' }

export const assessed = (daysAgo: number, who: Who, facts: Record<string, string>, inspectedBy = ''): Step => did(daysAgo, who, 'assess-power', { facts, inspectedBy })

/** Readings of one evening, all with the same load. */
export const read = (daysAgo: number, who: Who, load: 'loaded' | 'unloaded', rails: Record<string, number>): Step[] =>
  Object.entries(rails).map(([rail, valueV]) => did(daysAgo, who, 'take-reading', { rail, valueV, load }))

/** Moves through the stages in order, some days between each. */
export const moved = (daysAgo: number, who: Who, stage: CommandRequest<'move-to-stage'>['stage']): Step => did(daysAgo, who, 'move-to-stage', { stage })
