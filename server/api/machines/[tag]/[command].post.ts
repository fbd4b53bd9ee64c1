import { getRouterParam } from 'h3'
import { isMachineCommand } from '#shared/chapters/index'
import type { CommandAnswer } from '#shared/kernel/answers'
import { performOnMachine } from '../../../kernel/perform'
import { NotFound } from '../../../kernel/refusals'

/** Any command on one machine: who may, what was given, then the chapter that carries it out. */
export default defineAnswer(async (event): Promise<CommandAnswer> => {
  const name = getRouterParam(event, 'command') ?? ''
  if (!isMachineCommand(name)) throw new NotFound(`There is no command ${name}.`)
  const person = await requireLeave(event, name)
  const { input, sent } = await readCommand(event, name)
  const tag = getRouterParam(event, 'tag', { decode: true }) ?? ''
  const { result, change, observed } = performOnMachine(useBench(), person, tag, name, input as never, sent)
  return { done: name, result: result ?? null, change, observed }
})
