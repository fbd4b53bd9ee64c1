import { workshopNow } from '../chapters/workshop/index'

/** Tanks, ovens, boxes and lamps with their bookings, and the materials on the shelf. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return workshopNow(db, now().toISOString().slice(0, 10))
})
