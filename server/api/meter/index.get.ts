/** Whether the meter answers, and who it says it is. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return await useMeterDesk().view()
})
