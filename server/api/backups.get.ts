/** The backups that are there, when the next is due, and how far one has come that is being made. */
export default defineAnswer(async event => {
  await requireLeave(event, 'set-practice')
  return useBackups().view()
})
