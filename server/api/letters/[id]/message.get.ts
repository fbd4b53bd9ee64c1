import { createReadStream, existsSync } from 'node:fs'
import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { messageOfLetter, outboxFile } from '../../../outbox/outbox'
import { letterOf } from '../../../chapters/stewardship/index'

/** The letter as a mail message: as it lies in the outbox, or made anew. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db } = useBench()
  const id = Number(getRouterParam(event, 'id'))
  const { uid, tag } = letterOf(db, id)
  const file = outboxFile(dataFolder(), uid)
  setResponseHeaders(event, { 'content-type': 'message/rfc822', 'content-disposition': `attachment; filename="${tag}-letter.eml"` })
  // Whoever sends it takes the file away; the letter is here all the same.
  return existsSync(file) ? sendStream(event, createReadStream(file)) : messageOfLetter(db, dataFolder(), id)
})
