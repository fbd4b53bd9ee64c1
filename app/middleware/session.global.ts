/** Sends visitors to the page they can use: first start, sign-in, or the bench. The passport is open to all. */
export default defineNuxtRouteMiddleware(async to => {
  if (to.path.startsWith('/passport/') || to.path === '/sought' || to.path.startsWith('/sought/')) return
  const session = useSession()
  if (!session.loaded) await session.load()
  if (session.needsFirstStart) return to.path === '/first-start' ? undefined : navigateTo('/first-start')
  if (to.path === '/first-start') return navigateTo('/')
  if (!session.person && to.path !== '/sign-in' && !to.path.startsWith('/tools')) return navigateTo({ path: '/sign-in', query: { then: to.fullPath } })
  if (session.person && to.path === '/sign-in') return navigateTo('/')
})
