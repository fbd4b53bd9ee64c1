import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import { practice, practiceOf } from '../practice/index'

/** Says where the meter answers; no host means no meter. */
export function setMeter(work: Work, { version, host, port }: CommandInput<'set-meter'>): void {
  const before = practiceOf(work.tx)
  expectVersion(work, { host: before.meterHost, port: before.meterPort }, version, before.version, ['host', 'port'])
  if (host && port === null) throw new InputError('port', port, 'Port: a number, mostly 5025.')
  work.tx
    .update(practice)
    .set({ meterHost: host, meterPort: host ? port : null, version: before.version + 1 })
    .where(eq(practice.id, 1))
    .run()
  work.write('meter.set', { host, port: host ? port : null })
}
