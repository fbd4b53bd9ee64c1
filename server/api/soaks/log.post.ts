import { getHeader } from 'h3'
import { InputError } from '#core/kernel/input-error'
import { readSoakLog } from '#core/retest/soak-log'
import { soakBySecret } from '../../chapters/proving/index'
import { performOnMachine } from '../../kernel/perform'

const largest = { bytes: 64_000, passes: 1000 }

/** Lines of a test program, a pass each, posted as plain text under the secret of a soak (`authorization: Bearer …`). */
export default defineAnswer(async event => {
  const bench = useBench()
  const { soakId, tag, words, person } = soakBySecret(bench.db, (getHeader(event, 'authorization') ?? '').replace(/^Bearer\s+/i, ''))
  const body = await readText(event, largest.bytes)
  const { passes, failures, unread, stopped } = readSoakLog(body, words)
  if (passes > largest.passes) throw new InputError('body', passes, `Up to ${largest.passes} passes a request.`)
  if (passes) performOnMachine(bench, person, tag, 'tally-soak', { soakId, passes, failures }, sentAs(event, body))
  return { passes, failures, unread, stopped }
})
