import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { endWait, startWait } from './carry-out'
import { rows } from './rows'

/** Waits: what can be done, and what is loaded with a machine. */
export const waitsChapter = serverChapter({
  name: 'waits',
  head: { waits: ({ file, now }) => file.waits.map(({ id, what, startedAt, until }) => ({ id, what, startedAt, until, over: until <= now })) },
  card: { nextWaitAt: ({ waits }) => waits.map(w => w.until).sort()[0] ?? null, waits: ({ waits }) => waits.length },
  schema,
  onMachine: { 'start-wait': startWait, 'end-wait': endWait },
  rows,
})
export * from './carry-out'
export * from './schema'
