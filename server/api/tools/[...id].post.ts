import { getRouterParam, setResponseHeader, setResponseStatus } from 'h3'
import { toolById } from '#shared/tools/index'
import { fewAtOnce } from '../../kernel/few-at-once'
import { NotFound } from '../../kernel/refusals'
import { remembered } from '../../kernel/remembered'

/** Requests are taken in before they have their turn, so that one which comes slowly holds up no other; what lies here meanwhile is bounded. */
const receiving = fewAtOnce({ running: 24, waiting: 100, retryAfterSeconds: 2 })
/** No address takes all of these places. */
const receivingFrom = remembered(
  (_address: string) => fewAtOnce({ running: 8, waiting: 60, retryAfterSeconds: 2 }),
  address => address,
  500,
)

/** Runs an instrument for anybody: it keeps nothing, works in a thread of its own, and ends when whoever asked leaves. */
export default defineAnswer(async event => {
  const id = getRouterParam(event, 'id') ?? ''
  const tool = toolById(id)
  if (!tool) throw new NotFound(`There is no instrument ${id}. GET /api/tools lists them.`)
  const gone = leaving(event)
  const pool = 'work' in tool ? instrumentPools.heavy : instrumentPools.quick
  pool.expectRoom()
  const body = await receivingFrom(addressOf(event))(() => receiving(() => readText(event, 'work' in tool ? tool.largestBodyBytes : undefined)))
  const { status, json } = await pool.run({ id, body }, gone)
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json')
  return json
})
