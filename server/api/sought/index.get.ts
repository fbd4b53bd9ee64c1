import { soughtView } from '../../chapters/sought/index'

/** What is sought and spared: open to anybody while the list is. */
export default defineAnswer(async event => {
  await publicTurn(event)
  return soughtView(useBench())
})
