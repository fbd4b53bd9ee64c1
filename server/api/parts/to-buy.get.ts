/** What should be bought by now, a draft for each supplier. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return toBuyNow(event)
})
