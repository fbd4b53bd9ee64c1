import { and, eq, isNull } from 'drizzle-orm'
import { type Configuration, keyOf } from '#core/safety/configuration'
import type { GateResult } from '#core/safety/gate'
import { machines, powerAssessments, signOffs } from '../db/schema'
import { assess, loadMachine } from './machine-file'
import { noteGate } from './gate-history'
import type { MachineWork } from './work'

/** What a gate verdict rests on: the school, every reason, and what is connected unless that is everything; in one string. */
export const basisOf = (gate: GateResult, configuration: Configuration): string => [gate.school, ...gate.findings.map(f => f.code), ...(configuration.kind === 'whole' ? [] : [keyOf(configuration)])].sort().join(' ')

/**
 * After every change of a machine: an overrule does not outlive the facts it was made on,
 * nor a sign-off what it rested on.
 */
export function drawConsequences(work: MachineWork): void {
  const machine = work.tx.select().from(machines).where(eq(machines.id, work.machine.id)).get()!
  const file = loadMachine(work.tx, machine)
  if (file.power.overruleVerdict && file.power.overruleBasis !== basisOf(assess(file, work.now).gate, file.power.configuration)) {
    endOverrule(work, 'the facts have changed')
    file.power.overruleVerdict = null
  }
  noteGate(work, file)
  if (!file.signOff) return
  // A wait that starts after the sign-off is no reason against it.
  const against = assess({ ...file, waits: [] }, work.now).signOff.findings.filter(f => f.level === 'stop')
  if (against.length && endSignOffs(work)) work.write('sign-off.ended', { why: against[0]!.says })
}

export function endOverrule({ tx, machine, write }: MachineWork, why: string): void {
  tx.update(powerAssessments).set({ overruleVerdict: null, overruleReason: '', overruledBy: '', overruleBasis: '' }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('gate.overrule-ended', { why })
}

/** @returns how many sign-offs stood until now */
export function endSignOffs({ tx, machine, at }: MachineWork): number {
  return tx.update(signOffs).set({ endedAt: at }).where(and(eq(signOffs.machineId, machine.id), isNull(signOffs.endedAt))).run().changes
}
