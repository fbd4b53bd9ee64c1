import { MeterQuestion } from '#shared/chapters/meter/index'
import { probesOf } from '../../chapters/continuity/index'

/** One measurement, once the figure stands still. */
export default defineAnswer(async event => {
  await requireLeave(event, 'take-reading')
  const { what, probing, rail } = await readInput(event, MeterQuestion)
  return await useMeterDesk().read(what, probing && { ...probesOf(useBench().db, probing.checkId), beyond: probing.beyond, lifted: probing.lifted }, rail)
})
