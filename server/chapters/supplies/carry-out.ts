import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { labelWords } from '#core/power/supply-match'
import type { CommandInput } from '#shared/chapters/index'
import { and, asc, eq, ne } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import { supplies } from './schema'

export const listSupplies = (tx: Tx) => tx.select().from(supplies).orderBy(asc(supplies.name)).all()

function refuseTwice(tx: Tx, name: string, except = 0) {
  if (
    tx
      .select()
      .from(supplies)
      .where(and(eq(supplies.name, name), ne(supplies.id, except)))
      .get()
  )
    throw new InputError('name', name, `Name: ${name} is on another supply already.`)
}

export function addSupply({ tx, write }: Work, supply: CommandInput<'add-supply'>): { supplyId: number } {
  refuseTwice(tx, supply.name)
  const { id } = tx
    .insert(supplies)
    .values({ ...supply, uid: uuidv7() })
    .returning()
    .get()
  write('supply.added', { name: supply.name, says: labelWords(supply.label) })
  return { supplyId: id }
}

export function changeSupply(work: Work, { supplyId, version, ...supply }: CommandInput<'change-supply'>): void {
  const before = work.tx.select().from(supplies).where(eq(supplies.id, supplyId)).get()
  if (!before) throw new NotFound('There is no such supply.')
  expectVersion(work, before, version, before.version, Object.keys(supply))
  refuseTwice(work.tx, supply.name, supplyId)
  work.tx
    .update(supplies)
    .set({ ...supply, version: before.version + 1 })
    .where(eq(supplies.id, supplyId))
    .run()
  work.write('supply.changed', { name: supply.name, says: labelWords(supply.label), active: supply.active })
  work.affects({ of: 'supply', id: supplyId })
}
