import { getRouterParam } from 'h3'
import { type CollectionCommandName, type CommandInput, collectionCommands } from '#shared/contracts/commands'
import { type Hashed, performOnCollection } from '../../services/commands'
import { NotFound } from '../../services/refusals'

/** Any command on the collection as a whole. */
export default defineAnswer(async (event) => {
  const name = getRouterParam(event, 'command') as CollectionCommandName
  const schema = collectionCommands[name]
  if (!schema) throw new NotFound(`There is no command ${name}.`)
  const person = await requireLeave(event, name)
  const input = await withPasswordHashed(await readInput(event, schema))
  return { done: name, result: performOnCollection(useBench(), person, name, input) ?? null }
})

async function withPasswordHashed<I extends CommandInput<CollectionCommandName>>(input: I): Promise<Hashed<I>> {
  if (!('password' in input)) return input as Hashed<I>
  const { password, ...rest } = input
  return { ...rest, passwordHash: await hashPassword(password) } as Hashed<I>
}
