/**
 * What the tests of the core use of Vitest, for running them again and again in one process: they register themselves, and whoever runs them says
 * which. The matchers are Vitest's own.
 */
import { ASYMMETRIC_MATCHERS_OBJECT, GLOBAL_EXPECT, JestAsymmetricMatchers, JestChaiExpect, JestExtend, getState, setState } from '@vitest/expect'
import * as chai from 'chai'

chai.use(JestExtend)
chai.use(JestChaiExpect)
chai.use(JestAsymmetricMatchers)

interface Registered {
  name: string
  /** The folder that its file is in. */
  folder: string
  run: () => unknown
}
/** Where tests put themselves while their files are read. */
export const registered: Registered[] = []

const asked = (value: unknown, message?: string) => {
  const { assertionCalls } = getState(expect as never)
  setState({ assertionCalls: assertionCalls + 1 }, expect as never)
  return chai.expect(value, message)
}
export const expect = Object.assign(asked, chai.expect) as typeof chai.expect
setState({ assertionCalls: 0, isExpectingAssertions: false, isExpectingAssertionsError: null, expectedAssertionsNumber: null } as never, expect as never)
Object.defineProperty(globalThis, GLOBAL_EXPECT, { value: expect, configurable: true, writable: true })
Object.assign(expect, (globalThis as Record<symbol, unknown>)[ASYMMETRIC_MATCHERS_OBJECT])

const path: string[] = []
type Body = (...args: never[]) => unknown
function each(put: (name: string, body: () => unknown) => void) {
  return (cases: readonly unknown[]) => (name: string, body: Body) =>
    cases.forEach((one, nth) => put(`${name} ${nth + 1}`, () => body(...((Array.isArray(one) ? one : [one]) as never[]))))
}
/** Where the tests that are being read stand: each file says so before its first. */
let folder = ''
export const testsOf = (where: string) => {
  folder = where
  ready = undefined
}
/** What the tests of the file that is being read wait for: done once, before the first of them that is run. */
let ready: (() => Promise<unknown>) | undefined
export const beforeAll = (body: () => unknown) => {
  let done: Promise<unknown> | undefined
  ready = () => (done ??= Promise.resolve(body()))
}
const putTest = (name: string, run: () => unknown) => {
  const waits = ready
  registered.push({ name: [...path, name].join(' > '), folder, run: waits ? () => waits().then(run) : run })
}
const putGroup = (name: string, body: () => unknown) => {
  path.push(name)
  body()
  path.pop()
}
export const it = Object.assign(putTest, { each: each(putTest) })
export const test = it
export const describe = Object.assign(putGroup, { each: each(putGroup) })
