import { setResponseHeader } from 'h3'
import { tools } from '#shared/tools/index'
import { describeTool } from '#shared/tools/tool'

let described: string | undefined

/** What instruments there are. They are the same until the program ends, and described once. */
export default defineAnswer(event => {
  setResponseHeader(event, 'content-type', 'application/json')
  return (described ??= JSON.stringify({ tools: tools.map(describeTool) }))
})
