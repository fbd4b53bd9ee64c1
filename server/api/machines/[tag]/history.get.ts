import { getQuery, getRouterParam } from 'h3'
import { z } from 'zod'
import { type HistoryPart, historyPartNames } from '#shared/kernel/history-parts'
import { historyOf } from '../../../kernel/history/history'
import { machineByTag } from '../../../kernel/sheet'

const HistoryQuery = z.object({
  before: z.coerce.number().int().positive().optional(),
  most: z.coerce.number().int().min(1).max(200).default(50),
  part: z.enum(historyPartNames as [HistoryPart, ...HistoryPart[]]).optional(),
  find: z.string().trim().max(100).optional(),
})

/** The history of a machine, newest first, a piece at a time: `?before=<seq>` goes on where a piece ended, `?part=` and `?find=` narrow it. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db } = useBench()
  const query = HistoryQuery.parse(getQuery(event))
  const lines = historyOf(db, machineByTag(db, getRouterParam(event, 'tag', { decode: true }) ?? '').id, { ...query, most: query.most + 1 })
  return { lines: lines.slice(0, query.most), more: lines.length > query.most }
})
