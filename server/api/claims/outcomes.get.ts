import { getQuery } from 'h3'
import { z } from 'zod'
import { claimsLike } from '../../chapters/arrive/index'

const Asked = z.object({ says: z.string().trim().max(2000).default('') })

/** What claims like these, one a line, have turned out to be here. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return claimsLike(useBench().db, Asked.parse(getQuery(event)).says.split('\n'))
})
