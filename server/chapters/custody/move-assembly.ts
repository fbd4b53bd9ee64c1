import { isAway } from '#core/condition/grades'
import { mayGoAlong } from '#core/stewardship/custody/rules'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull, sql } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { workOn } from '../../kernel/work-on'
import { inventoryLines } from '../inventory/index'
import { assemblies, damages } from '../look/index'
import { capacitors } from '../recap/index'
import { settings } from '../setup/index'
import { expectConsent } from '../stewardship/index'
import { custodies, exchanges } from './schema'

/** What is written down by the name of an assembly, and goes with it. */
const lists = [
  ['inventory', inventoryLines],
  ['list of capacitors', capacitors],
  ['list of settings', settings],
] as const

const isOut = (tx: Tx, assemblyId: number) =>
  tx
    .select()
    .from(custodies)
    .where(and(eq(custodies.assemblyId, assemblyId), isNull(custodies.endedAt)))
    .get()

/**
 * Takes an assembly into another machine, with its grade and all that was found on it: damage, its inventory, capacitors and settings. It is in one
 * machine at a time; both are to be proved anew, and their rails read again. Photographs stay with the machine that they were taken of.
 */
export function moveAssembly(work: MachineWork, { assemblyId, version, toTag, why }: CommandInput<'move-assembly'>): void {
  const { tx, machine, at } = work
  const assembly = rowOf(work, assemblies, assemblyId, 'assembly')
  expectVersion(work, assembly, version, assembly.version, ['presence', 'grade', 'note'])
  const { name } = assembly
  if (isAway(assembly.presence)) throw new InputError('assemblyId', assemblyId, `${name}: by its record it is not there.`)
  const out = isOut(tx, assemblyId)
  if (out) throw new NotNow(`${name} is away: ${out.holder} has it. It comes back first.`)
  const into = tx.select().from(machines).where(eq(machines.tag, toTag.trim())).get()
  if (!into || into.id === machine.id) throw new InputError('toTag', toTag, `Into which machine: there is no other one with the tag ${toTag}.`)
  const there = workOn(work.whole, into)
  expectConsent(there, 'repair')
  const own = tx
    .select()
    .from(assemblies)
    .where(and(eq(assemblies.machineId, into.id), sql`lower(${assemblies.name}) = lower(${name})`))
    .get()
  if (own && !isAway(own.presence))
    throw new InputError('toTag', toTag, `${into.tag} has its own ${name.toLowerCase()} in it. Move that one out first, or say that it is missing.`)
  for (const [what, table] of lists)
    if (
      tx
        .select({ id: table.id })
        .from(table)
        .where(and(eq(table.machineId, into.id), sql`lower(${table.assembly}) = lower(${name})`))
        .get()
    )
      throw new InputError(
        'toTag',
        toTag,
        `${into.tag}: its ${what} still holds a ${name.toLowerCase()} that is not in it any more. Take those lines off first.`,
      )

  const known = mayGoAlong(work.file())
  const { presence, grade, note, role } = assembly
  const arrived = { presence, grade, note, role }
  const id = own ? own.id : tx.insert(assemblies).values({ machineId: into.id, name }).returning({ id: assemblies.id }).get().id
  tx.update(assemblies)
    .set({ ...arrived, ...(own ? { version: own.version + 1 } : {}) })
    .where(eq(assemblies.id, id))
    .run()
  tx.update(assemblies)
    .set({ presence: 'missing', grade: null, note: `It is in ${into.tag}.`, version: assembly.version + 1 })
    .where(eq(assemblies.id, assemblyId))
    .run()
  const marked = tx
    .update(damages)
    // Where it was marked stays with the photograph, which is of the other machine.
    .set({ machineId: into.id, assemblyId: id, photographId: null, mark: null, version: sql`${damages.version} + 1` })
    .where(eq(damages.assemblyId, assemblyId))
    .run().changes
  const listed = lists.reduce(
    (sum, [, table]) =>
      sum +
      tx
        .update(table)
        .set({ machineId: into.id })
        .where(and(eq(table.machineId, machine.id), sql`lower(${table.assembly}) = lower(${name})`))
        .run().changes,
    0,
  )
  tx.insert(exchanges)
    .values([
      { machineId: machine.id, assembly: name, came: false, other: into.tag, at },
      { machineId: into.id, assembly: own?.name ?? name, came: true, other: machine.tag, at, known },
    ])
    .run()
  work.write('assembly.left', { assembly: name, to: into.tag, why })
  there.write('assembly.came', { assembly: own?.name ?? name, from: machine.tag, why, found: marked + listed })
}
