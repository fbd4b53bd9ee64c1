import { getRouterParam } from 'h3'
import { type MachineCommandName, machineCommands } from '#shared/contracts/commands'
import { performOnMachine } from '../../../services/commands'
import { NotFound } from '../../../services/refusals'

/** Any command on one machine: who may, what was given, then the service. */
export default defineAnswer(async (event) => {
  const name = getRouterParam(event, 'command') as MachineCommandName
  const schema = machineCommands[name]
  if (!schema) throw new NotFound(`There is no command ${name}.`)
  const person = await requireLeave(event, name)
  const input = await readInput(event, schema)
  const tag = getRouterParam(event, 'tag', { decode: true }) ?? ''
  return { done: name, result: performOnMachine(useBench(), person, tag, name, input) ?? null }
})
