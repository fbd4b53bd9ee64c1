import { afterAll, beforeAll } from 'vitest'
import { type Application, startApplication } from './application'
import { type SignInName, Visitor } from './visitor'

/** Stands for something that is there only once the tests run. */
const late = <T extends object>(get: () => T) =>
  new Proxy({} as T, {
    get: (_, key) => {
      const it = get()
      const value = Reflect.get(it, key, it) as unknown
      return typeof value === 'function' ? (value.bind(it) as unknown) : value
    },
  })

/** Starts the application before the tests of a file and ends it after them, with a browser for each who is named; nobody signs in as null. */
export function atTheBench<const W extends readonly (SignInName | null)[]>(
  who: W,
  { demo = true, clockSpeed = 1 } = {},
): { application: Application; visitors: { [K in keyof W]: Visitor } } {
  let application: Application | undefined
  const arrived: Visitor[] = []
  beforeAll(async () => {
    application = await startApplication({ demo, clockSpeed })
    arrived.push(...(await Promise.all(who.map(() => Visitor.arrives(application!.address)))))
    await Promise.all(who.map(async (name, i) => name && arrived[i]!.comesIn(await application!.cookieOf(name))))
  })
  afterAll(async () => {
    await Promise.all(arrived.map(visitor => visitor.leaves()))
    await application?.stop()
  })
  return { application: late(() => application!), visitors: who.map((_, i) => late(() => arrived[i]!)) as { [K in keyof W]: Visitor } }
}
