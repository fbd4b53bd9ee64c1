import { eq } from 'drizzle-orm'
import type { JournalData, JournalKind } from '#shared/journal/kinds'
import type { Db } from '../db/connection'
import { machines } from '../db/schema'
import { drawConsequences } from './consequences'
import { type Tx, append, collectionChain } from './journal'
import { NotFound } from './refusals'
import { reindex } from './search'

export interface Person { id: number, name: string }
/** What a second browser needs to know to look again. */
export interface Change { at: string, by: string, kinds: string[], tag: string | null }
export type MachineRow = typeof machines.$inferSelect

export interface Subject { table: string, id: number }

/** One command at work: its transaction, who asked, what time it is, and the pen for the history. */
export interface Work {
  tx: Tx
  person: Person
  now: Date
  /** The same instant as it is kept: ISO, UTC. */
  at: string
  write: <K extends JournalKind>(kind: K, data: JournalData<K>, about?: { machine?: MachineRow, subject?: Subject, strikes?: number }) => number
}

/** A command on one machine: the pen already knows which. */
export interface MachineWork extends Omit<Work, 'write'> {
  machine: MachineRow
  write: <K extends JournalKind>(kind: K, data: JournalData<K>, about?: { subject?: Subject, strikes?: number }) => number
}

export interface Bench { db: Db, now: () => Date, announce: (change: Change) => void }

/** Carries a command out in one transaction and announces it once that has been kept. */
export function carryOut<R>(bench: Bench, person: Person, command: (work: Work) => R): R {
  const now = bench.now()
  const at = now.toISOString()
  const written: { kind: string, tag: string | null }[] = []
  const result = bench.db.transaction((tx) => {
    const touched = new Set<number>()
    const result = command({
      tx, person, now, at,
      write: (kind, data, about = {}) => {
        written.push({ kind, tag: about.machine?.tag ?? null })
        if (about.machine) touched.add(about.machine.id)
        return append(tx, { kind, data, chain: about.machine?.uid ?? collectionChain, machineId: about.machine?.id ?? null, at, personId: person.id, by: person.name, subject: about.subject, strikes: about.strikes })
      },
    })
    touched.forEach(id => reindex(tx, id))
    return result
  }, { behavior: 'immediate' })
  for (const tag of new Set(written.map(w => w.tag))) {
    bench.announce({ at, by: person.name, tag, kinds: written.filter(w => w.tag === tag).map(w => w.kind) })
  }
  return result
}

/** Carries out a command on the machine with this tag. @throws NotFound */
export function carryOutOn<R>(bench: Bench, person: Person, tag: string, command: (work: MachineWork) => R): R {
  return carryOut(bench, person, (work) => {
    const machine = work.tx.select().from(machines).where(eq(machines.tag, tag)).get()
    if (!machine) throw new NotFound(`There is no machine with the tag ${tag}.`)
    const on: MachineWork = { ...work, machine, write: (kind, data, about) => work.write(kind, data, { ...about, machine }) }
    const result = command(on)
    drawConsequences(on)
    return result
  })
}
