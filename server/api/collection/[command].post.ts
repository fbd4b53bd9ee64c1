import { getRouterParam } from 'h3'
import { type CollectionCommandName, type CommandInput, commands, isCollectionCommand } from '#shared/chapters/index'
import type { CommandAnswer } from '#shared/kernel/answers'
import type { Hashed } from '../../kernel/chapter'
import { performOnCollection } from '../../kernel/perform'
import { NotFound } from '../../kernel/refusals'

/** Any command on the collection as a whole. */
export default defineAnswer(async (event): Promise<CommandAnswer> => {
  const name = getRouterParam(event, 'command') ?? ''
  if (!isCollectionCommand(name)) throw new NotFound(`There is no command ${name}.`)
  const person = await requireLeave(event, name)
  const input = await withPasswordHashed(await readInput(event, commands[name]))
  const { result, change } = performOnCollection(useBench(), person, name, input as never, commandId(event))
  return { done: name, result: result ?? null, change }
})

async function withPasswordHashed<I extends CommandInput<CollectionCommandName>>(input: I): Promise<Hashed<I>> {
  if (!('password' in input)) return input as Hashed<I>
  const { password, ...rest } = input
  return { ...rest, passwordHash: await hashPassword(password) } as unknown as Hashed<I>
}
