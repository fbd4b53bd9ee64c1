import { expect, it } from 'vitest'
import { tools } from '.'
import { hands } from '../../tests/support/hands'
import { describeTool } from './tool'

it.each(tools.map(tool => [tool.id, tool] as const))('%s: its example runs, and its result has the shape it promises', async (id, tool) => {
  const input = tool.input.parse(tool.example) as never
  const output = 'work' in tool ? await tool.work(input, hands) : tool.run(input)
  expect(tool.output.parse(output)).toEqual(output)
  expect(tool.findings(output as never).length).toBeGreaterThan(0)
  const said = describeTool(tool)
  expect(id.startsWith(`${said.discipline}/`)).toBe(true)
  expect(said.input).toMatchObject({ type: 'object' })
})
