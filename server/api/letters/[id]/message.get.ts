import { createReadStream, existsSync } from 'node:fs'
import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { outboxFile } from '../../../outbox/outbox'
import { NotFound } from '../../../kernel/refusals'
import { letterOf } from '../../../chapters/stewardship/index'

/** The mail message as it lies in the outbox. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { uid, tag } = letterOf(useBench().db, Number(getRouterParam(event, 'id')))
  const file = outboxFile(dataFolder(), uid)
  if (!existsSync(file)) throw new NotFound('This letter does not lie in the outbox any more.')
  setResponseHeaders(event, { 'content-type': 'message/rfc822', 'content-disposition': `attachment; filename="${tag}-letter.eml"` })
  return sendStream(event, createReadStream(file))
})
