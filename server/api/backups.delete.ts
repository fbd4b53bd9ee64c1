/** Gives up the backup that is being made. */
export default defineAnswer(async event => {
  await requireLeave(event, 'set-practice')
  await useBackups().cancel()
  return useBackups().view()
})
