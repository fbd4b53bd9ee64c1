import { FirstStart } from '#shared/chapters/people/index'
import { firstStart, sealOf } from '../chapters/people/index'

/** Sets up an empty collection; refused once anybody is there. */
export default defineAnswer(async event => {
  const { password, ...input } = await readInput(event, FirstStart)
  const person = firstStart(useBench(), { ...input, passwordHash: await hashPassword(password) })
  await replaceUserSession(event, { user: { id: person.id, seal: sealOf(person) } })
  return { name: person.name }
})
