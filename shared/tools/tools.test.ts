import { expect, it } from 'vitest'
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
  expect(said.input).toMatchObject({ type: 'object' })
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
