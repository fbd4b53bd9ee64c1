import { millisecondsInDay } from 'date-fns/constants'
import { and, eq, lte, max } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { type CollectionCommandName, type CommandInput, type CommandName, type MachineCommandName, opensBy } from '#shared/chapters/index'
import { waits } from '#shared/kernel/may-wait'
import { assembled } from './assembled'
import type { CollectionInput } from './chapter'
import type { Tx } from './history/journal'
import { carryOutTold, onMachine } from './carry-out'
import { journal, machines } from './trunk'
import type { Bench, CarriedOut, Person, Told, Work } from './work'

/** Under which id a command came, and a digest of what it asked; a repeated one is answered as before. */
export type Sent = Omit<Told, 'name'>
const anew = (): Sent => ({ id: uuidv7() })

/**
 * Whoever does what makes a danger go, by whatever command, has the leave that saying so takes, and says what was found.
 * @throws NotAllowed, InputError at `found`
 */
const leaveToOpen =
  (person: Person, name: CommandName, input: object) =>
  (tx: Tx): Work['mayOpen'] => {
    const by = opensBy(name)
    if (by === 'choice') return undefined
    return gone => {
      for (const { leave, says } of gone) assembled().leave({ tx, person }, leave, `This takes back: “${says}” That`)
      if (by === 'saying' && !(input as { found?: string }).found)
        throw new InputError('found', '', `What was found: say it, for this takes back: ${gone.map(g => g.says).join(' ')}`)
    }
  }

/** Longer than a device goes without the bench; what says so has a clock that was set meanwhile. */
const longestWaitMs = 14 * millisecondsInDay

/** When it was said that waited for so long; not before what has been written about the machine meanwhile, whose order stays. */
const saidBefore =
  (tag: string, waitedMs: number) =>
  (tx: Tx, now: Date): string => {
    const latest = tx
      .select({ at: max(journal.at) })
      .from(journal)
      .innerJoin(machines, eq(machines.id, journal.machineId))
      .where(and(eq(machines.tag, tag), lte(journal.at, now.toISOString())))
      .get()?.at
    const said = new Date(waitedMs <= longestWaitMs ? now.getTime() - waitedMs : now).toISOString()
    return latest && latest > said ? latest : said
  }

/** Carries out a command on the machine with this tag, with input that its contract has passed. */
export function performOnMachine<N extends MachineCommandName>(
  bench: Bench,
  person: Person,
  tag: string,
  name: N,
  input: CommandInput<N>,
  sent: Sent = anew(),
): CarriedOut<unknown> {
  // An id belongs to one command on one machine: sent to another by mistake, it is refused there.
  return carryOutTold(
    bench,
    person,
    { ...sent, name: `${tag}/${name}` },
    onMachine(tag, work => {
      for (const { before } of assembled().chapters) before?.(work, name, input)
      return assembled().onMachine[name]!(work, input as never)
    }),
    { mayOpen: leaveToOpen(person, name, input), ...(sent.waitedMs && waits(name) ? { saidAt: saidBefore(tag, sent.waitedMs) } : {}) },
  )
}

/** Carries out a command on the collection, with input that its contract has passed. */
export function performOnCollection<N extends CollectionCommandName>(
  bench: Bench,
  person: Person,
  name: N,
  input: CollectionInput<N>,
  sent: Sent = anew(),
): CarriedOut<unknown> {
  return carryOutTold(bench, person, { ...sent, name }, work => assembled().onCollection[name]!(work, input as never), {
    mayOpen: leaveToOpen(person, name, input),
  })
}
