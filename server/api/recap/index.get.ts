import { recapMachines } from '../../chapters/recap/index'

/** Machines whose lists of capacitors want something, and the suppliers whose prices are kept. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return recapMachines(useBench().db)
})
