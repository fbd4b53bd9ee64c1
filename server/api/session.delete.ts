export default defineAnswer(async event => {
  await clearUserSession(event)
  return { signedOut: true }
})
