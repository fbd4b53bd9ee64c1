import { getRouterParam } from 'h3'
import { toolById } from '#shared/tools/index'
import { NotFound } from '../../services/refusals'

/** Runs an instrument for anybody: it keeps nothing. */
export default defineAnswer(async (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  const tool = toolById(id)
  if (!tool) throw new NotFound(`There is no instrument ${id}. GET /api/tools lists them.`)
  const input = await readInput(event, tool.input)
  return { result: tool.run(input) }
})
