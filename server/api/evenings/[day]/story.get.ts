import { getRouterParam } from 'h3'
import { z } from 'zod'
import { eveningStoryOf } from '../../../chapters/plan/index'

const Day = z.iso.date({ error: 'Day: a day as ISO writes it, such as 2026-03-03.' })

/** The story of the evening of a day, from its history. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return eveningStoryOf(useBench().db, Day.parse(getRouterParam(event, 'day')))
})
