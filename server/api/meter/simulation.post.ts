import { SimulationTyped } from '#shared/chapters/meter/index'

/** What the stand-in's simulated machine does; refused where the meter is a real one. */
export default defineAnswer(async event => {
  await requireLeave(event, 'begin-start')
  const order = await readInput(event, SimulationTyped)
  await useMeterDesk().simulate(order)
  return await useMeterDesk().view()
})
