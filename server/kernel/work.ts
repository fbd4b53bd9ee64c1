import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { type Assessment, assess } from '#core/planning/assess'
import type { Closing } from '#core/safety/closings'
import type { EntryData, EntryKind } from '#shared/chapters/index'
import { type LiveChange, type Progress, mostCards } from '#shared/kernel/answers'
import { recordOf } from '../chapters/index'
import type { Db } from '../db/connection'
import type { MachineFile, MachineRow } from './file'
import { hear } from './ear'
import { type Tx, append, collectionChain } from './journal'
import { loadFile } from './load'
import { NotFound, NotNow } from './refusals'
import { type Scope, enqueue } from './settlings'
import { settle } from './settle'
import { commandsDone, machines } from './trunk'

export interface Person {
  id: number
  name: string
}
export interface Subject {
  table: string
  id: number
}

/** One command at work: its transaction, who asked, what time it is, and the pen for the history. */
export interface Work {
  db: Db
  tx: Tx
  person: Person
  now: Date
  /** The same instant as it is kept: ISO, UTC, with milliseconds. */
  at: string
  write: <K extends EntryKind>(kind: K, data: EntryData<K>, about?: { machine?: MachineRow; subject?: Subject; strikes?: number }) => number
  /** Says which machines rest on what was changed; they are settled in slices once this has been kept. */
  affects: (scope: Scope) => void
  /** Settles a machine now, within this transaction; those that were written about are settled at its end by themselves. */
  settle: (machineId: number) => void
  /** Refuses what would open a gate without the leave for it; nothing for the program's own work, and for what is chosen. */
  mayOpen?: (gone: readonly Closing[]) => void
  /** Says how far something that is worked off in slices has come; told with the change. */
  progress?: Progress
}

/** A command on one machine: the pen already knows which. */
export interface MachineWork extends Omit<Work, 'write'> {
  machine: MachineRow
  write: <K extends EntryKind>(kind: K, data: EntryData<K>, about?: { subject?: Subject; strikes?: number }) => number
  /** All that is kept of it as it stood when the command came. */
  file: () => MachineFile
  /** What the core says of it as it stood when the command came, asked afresh. */
  assess: () => Assessment
}

export interface Bench {
  db: Db
  now: () => Date
  announce: (change: LiveChange) => void
  /** Wakes whoever settles machines in slices; nobody where there is none. */
  wake?: () => void
}

/** Commands whose answer is a secret: it is given once, and not kept for whoever sends the same again. */
const answeredOnce = ['open-soak-log']

/** The id that a command brings along, and its name. */
export interface Told {
  id: string
  name: string
  /** A digest of what it asks; nothing where whoever sends it does not say. */
  asked?: string
}
export interface CarriedOut<R> {
  result: R
  /** Nothing where the command had been carried out before. */
  change: LiveChange | null
}

/**
 * Carries a command out in one transaction, settles every machine it touched at the end of it, once, and announces it once that
 * has been kept. A command whose id was seen before is answered with what came of it then.
 */
export function carryOutTold<R>(bench: Bench, person: Person, told: Told, command: (work: Work) => R, mayOpen?: (tx: Tx) => Work['mayOpen']): CarriedOut<R> {
  const now = bench.now()
  const at = now.toISOString()
  const change: LiveChange = { id: told.id, at, by: person.name, kinds: [], tags: [], collection: false, machines: [] }
  const result = bench.db.transaction(
    tx => {
      const before = tx.select().from(commandsDone).where(eq(commandsDone.uid, told.id)).get()
      const another = before && (before.name !== told.name || before.personId !== person.id || (told.asked && before.asked && told.asked !== before.asked))
      if (another) throw new NotNow('Another command has been sent under this id. Send it anew.')
      if (before) return { again: true, result: before.result as R }
      const touched = new Set<number>()
      const work: Work = {
        ...(mayOpen ? { mayOpen: mayOpen(tx) } : {}),
        db: bench.db,
        tx,
        person,
        now,
        at,
        write: (kind, data, { machine, subject, strikes } = {}) => {
          change.kinds.push(kind)
          if (machine) touched.add(machine.id)
          else change.collection = true
          const id = append(tx, {
            kind,
            data,
            chain: machine?.uid ?? collectionChain,
            machineId: machine?.id ?? null,
            at,
            personId: person.id,
            by: person.name,
            subject,
            strikes,
          })
          if (machine) hear(tx, { id, machineId: machine.id, kind, data, at, by: person.name })
          return id
        },
        affects: scope => enqueue(tx, scope, person, at),
        settle: id => {
          touched.delete(id)
          const { summary, tag } = settle(work, id)
          touched.delete(id)
          change.tags.push(tag)
          if (summary && change.machines.length < mostCards) change.machines.push(summary)
        },
      }
      const result = command(work)
      for (const id of [...touched]) work.settle(id)
      if (work.progress) change.progress = work.progress
      if (told.name)
        tx.insert(commandsDone)
          .values({
            uid: told.id,
            name: told.name,
            personId: person.id,
            at,
            asked: told.asked,
            result: answeredOnce.includes(told.name.split('/').at(-1)!) ? null : (result ?? null),
          })
          .run()
      return { again: false, result }
    },
    { behavior: 'immediate' },
  )
  if (result.again) return { result: result.result, change: null }
  if (change.kinds.length || change.tags.length || change.progress) bench.announce(change)
  bench.wake?.()
  return { result: result.result, change }
}

/** The same for the program's own work, which brings no id along. */
export const carryOut = <R>(bench: Bench, person: Person, command: (work: Work) => R): R =>
  carryOutTold(bench, person, { id: uuidv7(), name: '' }, command).result

/** A command on the machine with this tag. @throws NotFound */
export function onMachine<R>(tag: string, command: (work: MachineWork) => R): (work: Work) => R {
  return work => {
    const machine = work.tx.select().from(machines).where(eq(machines.tag, tag)).get()
    if (!machine) throw new NotFound(`There is no machine with the tag ${tag}.`)
    return command(workOn(work, machine))
  }
}

/** The work of one command, turned to one machine. */
export function workOn(work: Work, machine: MachineRow): MachineWork {
  let file: MachineFile | undefined
  const asItStood = () => (file ??= loadFile(work.db, machine.id))
  return {
    ...work,
    machine,
    write: (kind, data, about) => work.write(kind, data, { ...about, machine }),
    file: asItStood,
    assess: () => assess(recordOf(asItStood()), work.at),
  }
}

/** Carries out a piece of the program's own work on the machine with this tag. @throws NotFound */
export const carryOutOn = <R>(bench: Bench, person: Person, tag: string, command: (work: MachineWork) => R): R =>
  carryOut(bench, person, onMachine(tag, command))
