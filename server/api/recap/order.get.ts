/** One order over the lists of several machines, as cheap as can be. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return recapOrderOf(event)
})
