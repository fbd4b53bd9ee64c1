export default defineAnswer(async event => {
  await signOut(event)
  return { signedOut: true }
})
