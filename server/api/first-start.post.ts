import { FirstStart } from '#shared/chapters/people/index'
import { expectNobody, firstStart } from '../chapters/people/index'
import { fewAtOnce } from '../kernel/turns/few-at-once'

/** Whoever sets up the collection is one person; a crowd at this door takes nothing from those who sign in. */
const oneAtATime = fewAtOnce({ running: 1, waiting: 3, retryAfterSeconds: 3 })

/** Sets up an empty collection; refused once anybody is there, before anything is read or hashed. */
export default defineAnswer(async event => {
  await publicTurn(event)
  expectNobody(useBench().db)
  const { password, ...input } = await readInput(event, FirstStart)
  return oneAtATime(async () => {
    expectNobody(useBench().db)
    const person = firstStart(useBench(), { ...input, passwordHash: await hashForFirst(password) })
    await signIn(event, person)
    return { name: person.name }
  })
})
