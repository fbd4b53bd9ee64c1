import type { Assessment } from '#core/planning/assess'
import { closingsOf } from '#core/safety/closings'
import type { MachineSummary } from '#shared/kernel/machine'
import { assembled } from '../assembled'
import type { MachineFile } from '../file'
import type { machineSummaries } from '../trunk'

type Columns = Omit<typeof machineSummaries.$inferSelect, 'machineId' | 'card' | 'searchHash'>

/** What lists show of a machine, and the columns that they filter and sort by. Nothing in it is said for a moment only. */
export function summaryOf(file: MachineFile, { known, run, moves, dueAt }: Assessment): Columns & { card: MachineSummary } {
  const { tag, name, maker, nickname, place, stage, life, acquired, onBench, bookedInAt, modelId } = file.machine
  const card: MachineSummary = {
    tag,
    name,
    maker,
    nickname,
    place,
    stage,
    life,
    acquired,
    onBench,
    bookedInAt,
    gate: known.gateInForce,
    overruled: known.overruled,
    ...assembled().card(file),
    mains: known.mains,
    moves: moves.slice(0, 3),
    run: run.map(({ stage, title, done, of, share }) => ({ stage, title, done, of, share })),
    harm: known.harm,
  }
  return {
    tag,
    name,
    modelId,
    stage,
    gate: known.gateInForce,
    closedBy: JSON.stringify(closingsOf(known.gate)),
    overruled: known.overruled,
    onBench,
    signedOff: known.signedOff,
    ...assembled().columns(file),
    harmRank: known.harm.rank,
    hasMove: moves.length > 0,
    dueAt,
    card,
  }
}
