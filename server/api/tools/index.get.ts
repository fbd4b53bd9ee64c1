import { tools } from '#shared/tools/index'
import { describeTool } from '#shared/tools/tool'

export default defineAnswer(() => ({ tools: tools.map(describeTool) }))
