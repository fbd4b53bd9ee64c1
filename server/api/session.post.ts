import { InputError } from '#core/kernel/input-error'
import { SignIn } from '#shared/chapters/people/index'
import { findBySignIn } from '../chapters/people/index'

/** Signs in. A name that is not known takes as long to refuse as a wrong password. */
export default defineAnswer(async event => {
  const { signInName, password } = await readInput(event, SignIn)
  const address = isKnownDevice(event, signInName) ? undefined : addressOf(event)
  // Between two of those who knock, whoever works here is answered.
  await (address === undefined ? turnstile.pass(`device of ${signInName}`, 20) : publicTurn(event))
  const key = `${address ?? 'known device'} ${signInName}`
  await countTry(key, address)
  const person = findBySignIn(useBench().db, signInName)
  const right = await knocksRightly(person?.active ? person.passwordHash : undefined, password, address === undefined)
  if (!person || !right) throw new InputError('password', '', 'Name and password do not go together. Check both.')
  await forgetTries(key, address)
  await signIn(event, person)
  rememberDevice(event, signInName)
  return { name: person.name }
})
