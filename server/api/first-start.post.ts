import { FirstStart } from '#shared/chapters/people/index'
import { firstStart } from '../chapters/people/index'

/** Sets up an empty collection; refused once anybody is there. */
export default defineAnswer(async event => {
  const { password, ...input } = await readInput(event, FirstStart)
  const person = firstStart(useBench(), { ...input, passwordHash: await hashOf(password) })
  await signIn(event, person)
  return { name: person.name }
})
