import { expect, it } from 'vitest'
import { tools } from '.'
import { describeTool } from './tool'

it.each(tools.map(tool => [tool.id, tool] as const))('%s: its example runs, and its result has the shape it promises', (id, tool) => {
  const output = tool.run(tool.input.parse(tool.example) as never)
  expect(tool.output.parse(output)).toEqual(output)
  expect(tool.findings(output).length).toBeGreaterThan(0)
  const said = describeTool(tool)
  expect(id.startsWith(`${said.discipline}/`)).toBe(true)
  expect(said.input).toMatchObject({ type: 'object' })
})
