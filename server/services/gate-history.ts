import { and, desc, eq } from 'drizzle-orm'
import type { GateVerdict } from '#core/safety/gate'
import { journal, machines } from '../db/schema'
import type { Tx } from './journal'
import { type MachineFile, assess, loadMachines } from './machine-file'
import type { MachineWork, Work } from './work'

interface Change { from: GateVerdict, to: GateVerdict, why: string }
const firstVerdict: GateVerdict = 'not-yet-assessed'

/** Every change of the verdict that held, newest first. */
export const gateHistory = (tx: Tx, machineId: number) => tx.select({ at: journal.at, by: journal.by, data: journal.data }).from(journal).where(and(eq(journal.machineId, machineId), eq(journal.kind, 'gate.changed'))).orderBy(desc(journal.seq)).all()
  .map(({ at, by, data }) => ({ at, by, ...(JSON.parse(data) as Change) }))

function changeOf(tx: Tx, file: MachineFile, now: Date): Change | null {
  const before = gateHistory(tx, file.machine.id)[0]?.to ?? firstVerdict
  const { inForce, gate } = assess(file, now)
  if (inForce === before) return null
  // The reason that decides, in the rule's own words; what was claimed or found stays with the hazard it belongs to.
  const why = file.power.overruleVerdict ? 'Overruled' : inForce === 'clear-to-run' ? 'No reason to keep it off or guarded is left' : gate.findings[0]?.says ?? ''
  return { from: before, to: inForce, why }
}

/** Writes it down when the gate says something else than before. */
export function noteGate({ tx, now, write }: MachineWork, file: MachineFile): void {
  const change = changeOf(tx, file, now)
  if (change) write('gate.changed', change)
}

/** The same for every machine, after something changed that many of them rest on. */
export function noteGates({ tx, now, write }: Work): void {
  for (const file of loadMachines(tx, tx.select().from(machines).all())) {
    const change = changeOf(tx, file, now)
    if (change) write('gate.changed', change, { machine: file.machine })
  }
}
