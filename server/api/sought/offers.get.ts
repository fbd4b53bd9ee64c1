import { offersView } from '../../chapters/sought/index'

/** What was said to the public list, for those who look it over. */
export default defineAnswer(async event => {
  await requireLeave(event, 'take-up-offer')
  return offersView(useBench().db)
})
