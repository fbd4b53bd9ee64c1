import { MeterQuestion } from '#shared/chapters/practice/index'

/** One measurement, once the figure stands still. */
export default defineAnswer(async event => {
  await requireLeave(event, 'take-reading')
  const { what } = await readInput(event, MeterQuestion)
  return await useMeterDesk().read(what)
})
