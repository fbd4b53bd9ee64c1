import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { waitKindOf } from '#core/cleaning/wait-kinds'
import { endWait, resumeWait, setWaitKind, startWait } from './carry-out'
import { rows } from './rows'

/** Waits: what can be done, and what is loaded with a machine. */
export const waitsChapter = serverChapter({
  name: 'waits',
  head: {
    waits: ({ file, now }) =>
      file.waits.map(w => {
        const { id, what, startedAt, until, kind } = w
        return { id, what, startedAt, until, over: until <= now, kind: waitKindOf(w), said: kind !== null }
      }),
  },
  card: { nextWaitAt: ({ waits }) => waits.map(w => w.until).sort()[0] ?? null, waits: ({ waits }) => waits.length },
  schema,
  onMachine: { 'start-wait': startWait, 'set-wait-kind': setWaitKind, 'end-wait': endWait, 'resume-wait': resumeWait },
  rows,
})
export * from './carry-out'
export * from './schema'
