import { getRouterParam } from 'h3'
import { InputError } from '#core/kernel/input-error'
import { type CollectionCommandName, type CommandInput, isCollectionCommand } from '#shared/chapters/index'
import type { CommandAnswer, LiveChange } from '#shared/kernel/answers'
import type { Hashed } from '../../kernel/chapter'
import { findPerson, type PersonRow } from '../../chapters/people/index'
import { performOnCollection } from '../../kernel/perform'
import { NotFound } from '../../kernel/refusals'

/** Any command on the collection as a whole. */
export default defineAnswer(async (event): Promise<CommandAnswer> => {
  const name = getRouterParam(event, 'command') ?? ''
  if (!isCollectionCommand(name)) throw new NotFound(`There is no command ${name}.`)
  const person = await requireLeave(event, name)
  const { input: given, sent } = await readCommand(event, name)
  if ('oldPassword' in given) await expectPassword(person, given.oldPassword)
  const input = await withPasswordHashed(given)
  const bench = useBench()
  // Hashing takes its time; whoever was sent away meanwhile does nothing any more.
  if ('passwordHash' in input) await requireLeave(event, name)
  const told: LiveChange[] = []
  const { result, change } = performOnCollection({ ...bench, announce: change => told.push(change) }, person, name, input as never, sent)
  // Pages fetch anew when they hear of it; whoever changed their password can do so only with the session that this answer brings.
  whenGone(event, () => told.forEach(bench.announce))
  // Whoever changed their own password is not sent away from where they did; nobody else's session is opened anew by that.
  const now = findPerson(bench.db, person.id)
  if (now?.active && now.passwordHash !== person.passwordHash && 'passwordHash' in input) await signIn(event, now)
  return { done: name, result: result ?? null, change }
})

/** A bench left open is not enough to change the password of whoever left it. @throws InputError, TooManyTries */
async function expectPassword(person: PersonRow, typed: string): Promise<void> {
  const key = `present password of ${person.id}`
  await countTry(key)
  if (!(await belongs(person.passwordHash, typed)))
    throw new InputError('oldPassword', '', 'Current password: this is not it. Type the one you signed in with.')
  await forgetTries(key)
}

async function withPasswordHashed<I extends CommandInput<CollectionCommandName>>(input: I): Promise<Hashed<I>> {
  if (!('password' in input)) return input as Hashed<I>
  const { password, oldPassword: _, ...rest } = input as I & { password: string; oldPassword?: string }
  return { ...rest, passwordHash: await hashOf(password) } as unknown as Hashed<I>
}
