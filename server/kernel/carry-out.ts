import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { type LiveChange, type Observed, mostCards } from '#shared/kernel/answers'
import { isStrikeable, sentenceOf } from '#shared/chapters/index'
import { filesOf } from './files'
import { hear } from './history/ear'
import { type Tx, append, collectionChain } from './history/journal'
import { NotFound, NotNow } from './refusals'
import { enqueue } from './settling/settlings'
import { settle } from './settling/settle'
import { commandsDone, machines } from './trunk'
import type { Bench, CarriedOut, MachineWork, Person, Told, Work } from './work'
import { workOn } from './work-on'

/** Commands whose answer is a secret: it is given once, and not kept for whoever sends the same again. */
const answeredOnce = ['open-soak-log']

/**
 * Carries a command out in one transaction, settles every machine it touched at the end of it, once, and announces it once that
 * has been kept. A command whose id was seen before is answered with what came of it then.
 */
export function carryOutTold<R>(
  bench: Bench,
  person: Person,
  told: Told,
  command: (work: Work) => R,
  { mayOpen, saidAt }: { mayOpen?: (tx: Tx) => Work['mayOpen']; saidAt?: (tx: Tx, now: Date) => string } = {},
): CarriedOut<R> {
  const now = bench.now()
  const arrived = now.toISOString()
  const change: LiveChange = { id: told.id, at: arrived, by: person.name, kinds: [], tags: [], collection: false, machines: [] }
  const observed: Observed[] = []
  const result = bench.db.transaction(
    plain => {
      const files = filesOf(bench.db, plain)
      const { tx } = files
      const before = tx.select().from(commandsDone).where(eq(commandsDone.uid, told.id)).get()
      const another = before && (before.name !== told.name || before.personId !== person.id || (told.asked && before.asked && told.asked !== before.asked))
      if (another) throw new NotNow('Another command has been sent under this id. Send it anew.')
      if (before) return { again: true, result: before.result as R }
      const at = saidAt?.(tx, now) ?? arrived
      const touched = new Set<number>()
      const work: Work = {
        ...(mayOpen ? { mayOpen: mayOpen(tx) } : {}),
        db: bench.db,
        tx,
        files,
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
          if (machine && subject && isStrikeable(kind)) observed.push({ entryId: id, says: sentenceOf(kind, data) })
          if (machine) hear(tx, { id, machineId: machine.id, kind, data, at, by: person.name })
          return id
        },
        affects: scope => enqueue(tx, scope, person, arrived),
        settle: id => {
          touched.delete(id)
          const { summary, tag } = settle({ ...work, at: arrived }, id)
          touched.delete(id)
          files.forget(id)
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
            at: arrived,
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
  return { result: result.result, change, ...(observed.length === 1 ? { observed: observed[0]! } : {}) }
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

/** Carries out a piece of the program's own work on the machine with this tag. @throws NotFound */
export const carryOutOn = <R>(bench: Bench, person: Person, tag: string, command: (work: MachineWork) => R): R =>
  carryOut(bench, person, onMachine(tag, command))
