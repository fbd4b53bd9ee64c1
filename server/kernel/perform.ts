import { v7 as uuidv7 } from 'uuid'
import type { CollectionCommandName, CommandInput, MachineCommandName } from '#shared/chapters/index'
import { onCollection, onMachine as onOneMachine } from '../chapters/index'
import type { CollectionInput } from './chapter'
import { type Bench, type CarriedOut, type Person, carryOutTold, onMachine } from './work'

/** Carries out a command on the machine with this tag, with input that its contract has passed. @param id its own; a repeated one is answered as before */
export function performOnMachine<N extends MachineCommandName>(
  bench: Bench,
  person: Person,
  tag: string,
  name: N,
  input: CommandInput<N>,
  id = uuidv7(),
): CarriedOut<unknown> {
  // An id belongs to one command on one machine: sent to another by mistake, it is refused there.
  return carryOutTold(
    bench,
    person,
    { id, name: `${tag}/${name}` },
    onMachine(tag, work => onOneMachine()[name](work, input)),
  )
}

/** Carries out a command on the collection, with input that its contract has passed. */
export function performOnCollection<N extends CollectionCommandName>(
  bench: Bench,
  person: Person,
  name: N,
  input: CollectionInput<N>,
  id = uuidv7(),
): CarriedOut<unknown> {
  return carryOutTold(bench, person, { id, name }, work => onCollection()[name](work, input))
}
