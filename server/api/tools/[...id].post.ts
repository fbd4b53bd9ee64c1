import { getRouterParam } from 'h3'
import { toolById } from '#shared/tools/index'
import { readToolInput } from '#shared/tools/tool'
import { hands } from '../../files/hands'
import { NotFound } from '../../kernel/refusals'

/** Runs an instrument for anybody: it keeps nothing. */
export default defineAnswer(async event => {
  const id = getRouterParam(event, 'id') ?? ''
  const tool = toolById(id)
  if (!tool) throw new NotFound(`There is no instrument ${id}. GET /api/tools lists them.`)
  if ('work' in tool) return { result: await tool.work(readToolInput(tool.input, await readJson(event, tool.largestBodyBytes)), hands) }
  return { result: tool.run(readToolInput(tool.input, await readJson(event))) }
})
