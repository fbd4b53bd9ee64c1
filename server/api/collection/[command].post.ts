import { getRouterParam } from 'h3'
import { type CollectionCommandName, type CommandInput, collectionCommands } from '#shared/contracts/commands'
import { performOnCollection } from '../../services/commands'
import { NotFound } from '../../services/refusals'

/** Any command on the collection as a whole. */
export default defineAnswer(async (event) => {
  const name = getRouterParam(event, 'command') as CollectionCommandName
  const schema = collectionCommands[name]
  if (!schema) throw new NotFound(`There is no command ${name}.`)
  const person = await requireLeave(event, name)
  const input = await readInput(event, schema)
  const kept = name === 'add-person' ? await withPasswordHashed(input as CommandInput<'add-person'>) : input
  return { done: name, result: performOnCollection(useBench(), person, name, kept as never) ?? null }
})

async function withPasswordHashed({ password, ...person }: CommandInput<'add-person'>) {
  return { ...person, passwordHash: await hashPassword(password) }
}
