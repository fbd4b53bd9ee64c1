import { getQuery } from 'h3'
import { PageQuery } from '#shared/kernel/machine'
import { wantedParts } from '../../chapters/parts/index'
import { listSupplies } from '../../chapters/supplies/index'

export default defineAnswer(async event => {
  await requirePerson(event)
  const { db } = useBench()
  return { parts: wantedParts(db, PageQuery.parse(getQuery(event))), supplies: listSupplies(db).map(({ uid: _, ...supply }) => supply) }
})
