import { configurationWords } from '#core/safety/configuration'
import type { ViewOf } from '#shared/chapters/index'
import { desc, eq } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import { thinned } from '../../kernel/thin'
import { starts } from './schema'

const mostStarts = 6

/** The starts of late, newest first. */
export const startsView = ({ tx, file }: ViewInput): ViewOf<'starts'> => ({
  starts: tx
    .select()
    .from(starts)
    .where(eq(starts.machineId, file.machine.id))
    .orderBy(desc(starts.id))
    .limit(mostStarts)
    .all()
    .map(({ id, plan, configuration, atProbe, atSwitch, begunAt, endedAt, outcome, why, onSeconds, samples }) => ({
      id,
      plan,
      configuration: configurationWords(configuration),
      atProbe,
      atSwitch,
      begunAt,
      endedAt,
      outcome,
      why,
      onSeconds,
      samples: thinned(samples),
      runs: file.startRuns.filter(r => r.startId === id).map(({ onSeconds: on, called, noticed, kept }) => ({ onSeconds: on, called, noticed, kept })),
    })),
})
