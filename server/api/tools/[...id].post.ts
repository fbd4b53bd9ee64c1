import { getRouterParam, setResponseHeader, setResponseStatus } from 'h3'
import { toolById } from '#shared/tools/index'
import { fewAtOnce } from '../../kernel/turns/few-at-once'
import { NotFound } from '../../kernel/refusals'

/** Taken in before they have their turn, so that a slow one holds up no other; what lies here is bounded, and no asker takes all of it. */
const receiving = fewAtOnce({ running: 24, runningOfOne: 8, waiting: 100, waitingOfOne: 60, retryAfterSeconds: 2, patienceMs: 15_000 })

/** Runs an instrument for anybody: it keeps nothing, works in a thread of its own, and ends when whoever asked leaves. */
export default defineAnswer(async event => {
  const id = getRouterParam(event, 'id') ?? ''
  const tool = toolById(id)
  if (!tool) throw new NotFound(`There is no instrument ${id}. GET /api/tools lists them.`)
  const gone = leaving(event)
  const whose = await askerOf(event)
  const pool = 'work' in tool ? instrumentPools.heavy : instrumentPools.quick
  pool.expectRoom(whose)
  const body = await receiving(() => readText(event, 'work' in tool ? tool.largestBodyBytes : undefined), { whose, gone })
  const { status, json } = await pool.run({ id, body }, gone, whose)
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json')
  return json
})
