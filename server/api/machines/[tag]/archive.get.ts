import { Readable } from 'node:stream'
import { getQuery, getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { archiveOf } from '../../../chapters/sharing/index'
import { machineByTag } from '../../../kernel/sheet'

/** The record of a machine as a zip; `?whole=1` with private matters. A coordinator's to take out of the house. */
export default defineAnswer(async event => {
  await requireLeave(event, 'switch-passport')
  const bench = useBench()
  const { tag } = machineByTag(bench.db, getRouterParam(event, 'tag', { decode: true }) ?? '')
  setResponseHeaders(event, {
    'content-type': 'application/zip',
    'content-disposition': `attachment; filename="${tag.replaceAll(/[^\w.-]/g, '_')}.zip"`,
    'cache-control': 'no-store',
  })
  return sendStream(event, Readable.from(archiveOf(bench, dataFolder(), tag, getQuery(event).whole === '1')))
})
