import { printerView } from '../chapters/printing/queue'

/** The printer of labels as the server sees it, and its queue. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return printerView(useBench())
})
