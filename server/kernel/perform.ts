import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { type CollectionCommandName, type CommandInput, type CommandName, type MachineCommandName, opensBy } from '#shared/chapters/index'
import { assembled } from './assembled'
import type { CollectionInput } from './chapter'
import type { Tx } from './history/journal'
import { carryOutTold, onMachine } from './carry-out'
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
    leaveToOpen(person, name, input),
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
  return carryOutTold(bench, person, { ...sent, name }, work => assembled().onCollection[name]!(work, input as never), leaveToOpen(person, name, input))
}
