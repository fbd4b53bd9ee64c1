import { getRouterParam } from 'h3'
import { datingOf } from '../../../chapters/arrive/index'
import { lifeOf } from '../../../kernel/history/life'
import { loadFile } from '../../../kernel/load'
import { machineByTag } from '../../../kernel/sheet'
import type { LifeView } from '#shared/kernel/answers'

/** A machine's life as events on a line of time, with when it was made as far as its parts tell. */
export default defineAnswer(async (event): Promise<LifeView> => {
  await requirePerson(event)
  const { db } = useBench()
  const { id, bookedInAt } = machineByTag(db, getRouterParam(event, 'tag', { decode: true }) ?? '')
  return { bookedInAt, made: datingOf(loadFile(db, id))?.interval ?? null, events: lifeOf(db, id) }
})
