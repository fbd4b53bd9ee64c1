import { getRequestIP } from 'h3'
import { InputError } from '#core/kernel/input-error'
import { SignIn } from '#shared/chapters/people/index'
import { findBySignIn } from '../chapters/people/index'

/** Signs in. A name that is not known takes as long to refuse as a wrong password. */
export default defineAnswer(async event => {
  const { signInName, password } = await readInput(event, SignIn)
  const key = `${getRequestIP(event)} ${signInName}`
  await countTry(key)
  const person = findBySignIn(useBench().db, signInName)
  const right = await verifyPassword(person?.passwordHash ?? (await unknownHash()), password)
  if (!person?.active || !right) throw new InputError('password', '', 'Name and password do not go together. Check both.')
  await forgetTries(key)
  await signIn(event, person)
  return { name: person.name }
})

let hash: Promise<string> | undefined
const unknownHash = () => (hash ??= hashPassword('nobody has this password'))
