import { expect, it } from 'vitest'
import { InputError } from '#core/kernel/input-error'
import { tools } from '.'
import { hands } from '../../tests/support/hands'
import { describeTool, readToolInput } from './tool'

it.each(tools.map(tool => [tool.id, tool] as const))('%s: its example runs, and its result has the shape it promises', async (id, tool) => {
  const input = tool.input.parse(tool.example) as never
  const output = 'work' in tool ? await tool.work(input, hands) : tool.run(input)
  expect(tool.output.parse(output)).toEqual(output)
  expect(tool.findings(output as never).length).toBeGreaterThan(0)
  const said = describeTool(tool)
  expect(id.startsWith(`${said.discipline}/`)).toBe(true)
  // An instrument for several kinds of things has a shape for each.
  for (const shape of (said.input.oneOf as object[] | undefined) ?? [said.input]) expect(shape).toMatchObject({ type: 'object' })
})

it.each(tools.map(tool => [tool.id, tool] as const))('%s refuses a key that it does not know, and takes its example as it is', (_, tool) => {
  expect(() => readToolInput(tool.input as never, { ...(tool.example as object), hazard: [] })).toThrow(expect.objectContaining({ field: 'hazard' }) as Error)
  expect(readToolInput(tool.input as never, tool.example)).toBeDefined()
})
it('a misspelt key further in is named with its path', () => {
  const gate = tools.find(t => t.id === 'safety/gate')!
  const hazards = [{ kind: 'smoke', state: 'present', evidence: ['seen'], setled: true }]
  expect(() => readToolInput(gate.input as never, { ...(gate.example as object), hazards })).toThrow(
    expect.objectContaining({ field: 'hazards.0.setled' }) as Error,
  )
})

it('a figure beyond anything at a bench is refused at its path', () => {
  const rails = tools.find(t => t.id === 'power/rails')!
  const huge = (v: unknown): unknown =>
    Array.isArray(v)
      ? v.map(huge)
      : v && typeof v === 'object'
        ? Object.fromEntries(Object.entries(v).map(([k, x]) => [k, huge(x)]))
        : typeof v === 'number'
          ? 1e308
          : v
  expect(() => readToolInput(rails.input as never, huge(rails.example))).toThrow(
    expect.objectContaining({ field: expect.stringContaining('rails.0') as string }) as Error,
  )
})

/** The same input with one of its places changed, for every place and everything that such a place may hold at the edge. */
function* atTheEdge(given: unknown): Generator<unknown> {
  if (typeof given === 'number') yield* [0, -1, 1e-300, 1e-9, 0.5, 1, 1e6, 1e12, 1e300]
  else if (typeof given === 'string') yield* ['', ' ', '0', 'x']
  else if (Array.isArray(given)) {
    yield []
    yield [...(given as unknown[]), ...(given as unknown[])]
    for (const [i, one] of given.entries()) for (const other of atTheEdge(one)) yield (given as unknown[]).with(i, other)
  } else if (typeof given === 'object' && given !== null)
    for (const [key, one] of Object.entries(given)) {
      yield Object.fromEntries(Object.entries(given).filter(([k]) => k !== key))
      for (const other of atTheEdge(one)) yield { ...given, [key]: other }
    }
}
const mostEdges = 400

it.each(tools.flatMap(tool => ('run' in tool ? [[tool.id, tool] as const] : [])))(
  '%s at its edges refuses with a reason, or says sentences that hold',
  (_, tool) => {
    const edges = [...atTheEdge(tool.example)]
    const step = Math.ceil(edges.length / mostEdges)
    for (const edge of edges.filter((_, i) => i % step === 0)) {
      let input
      try {
        input = readToolInput(tool.input as never, edge) as never
      } catch (error) {
        // Of the wrong shape is told by its path as well.
        expect(['ZodError', 'InputError']).toContain((error as Error).name)
        continue
      }
      let output
      try {
        output = tool.run(input)
      } catch (error) {
        expect(error, JSON.stringify(edge)).toBeInstanceOf(InputError)
        continue
      }
      const told = JSON.stringify(tool.findings(output))
      expect(told, JSON.stringify(edge)).not.toMatch(/\b(NaN|undefined|null|Infinity)\b/)
      expect(tool.output.safeParse(output).error?.message, JSON.stringify(edge)).toBeUndefined()
    }
  },
)
