import { InputError } from '#core/kernel/input-error'
import { isAway } from '#core/condition/grades'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { assemblies } from '../look/index'
import { custodies, exchanges } from './schema'

const awayOf = (work: MachineWork, { custodyId, version }: { custodyId: number; version: number }) => {
  const row = rowOf(work, custodies, custodyId, 'assembly')
  expectVersion(work, row, version, row.version, ['backBy', 'endedAt'])
  if (row.endedAt !== null) throw new NotNow(`${row.assembly} is back already.`)
  return row
}

/** Somebody takes an assembly along; it is in one place at a time. */
export function takeHome(work: MachineWork, { assemblyId, holder, what, backBy }: CommandInput<'take-home'>): void {
  const { tx, machine, at, write } = work
  const assembly = rowOf(work, assemblies, assemblyId, 'assembly')
  if (isAway(assembly.presence)) throw new InputError('assemblyId', assemblyId, `${assembly.name}: by its record it is not there.`)
  const out = tx
    .select()
    .from(custodies)
    .where(and(eq(custodies.machineId, machine.id), eq(custodies.assemblyId, assemblyId), isNull(custodies.endedAt)))
    .get()
  if (out) throw new NotNow(`${assembly.name} is away already: ${out.holder} has it.`)
  if (backBy < at.slice(0, 10)) throw new InputError('backBy', backBy, 'Back by: that day is over.')
  tx.insert(custodies).values({ machineId: machine.id, assemblyId, assembly: assembly.name, holder, what, since: at, backBy }).run()
  write('custody.taken', { assembly: assembly.name, holder, what, backBy })
}

export function putOffReturn(work: MachineWork, { custodyId, version, backBy }: CommandInput<'put-off-return'>): void {
  const row = awayOf(work, { custodyId, version })
  if (backBy < work.at.slice(0, 10)) throw new InputError('backBy', backBy, 'Back by: that day is over.')
  work.tx
    .update(custodies)
    .set({ backBy, version: row.version + 1 })
    .where(eq(custodies.id, row.id))
    .run()
  work.write('custody.put-off', { assembly: row.assembly, holder: row.holder, backBy })
}

export function bringBack(work: MachineWork, { custodyId, version, note }: CommandInput<'bring-back'>): void {
  const row = awayOf(work, { custodyId, version })
  work.tx
    .update(custodies)
    .set({ endedAt: work.at, version: row.version + 1 })
    .where(eq(custodies.id, row.id))
    .run()
  work.write('custody.back', { assembly: row.assembly, holder: row.holder, note })
}

/** What came from another machine was looked over here; the gate asks for whoever has leave to inspect. */
export function lookOverArrival(work: MachineWork, { exchangeId, found }: CommandInput<'look-over-arrival'>): void {
  const row = rowOf(work, exchanges, exchangeId, 'arrival')
  if (!row.came) throw new NotNow(`${row.assembly} is not here: it went into ${row.other}.`)
  if (row.lookedAt !== null) throw new NotNow(`${row.assembly} has been looked over already.`)
  work.tx.update(exchanges).set({ lookedAt: work.at }).where(eq(exchanges.id, row.id)).run()
  work.write('assembly.looked-over', { assembly: row.assembly, from: row.other, found })
}
