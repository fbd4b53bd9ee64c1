import { machines } from '../../kernel/trunk'
import { reassemble } from '#core/opening/reassembly'
import type { ViewOf } from '#shared/chapters/index'
import { OpeningStep } from '#shared/chapters/opening/index'
import { and, asc, count, eq, ne } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { openingSteps } from './schema'

const mostRecords = 12

/** Sisters whose opening record could be taken over, where there is none yet. */
function recordsOfSisters(tx: Tx, { machine, openingSteps: own, sisters }: MachineFile): ViewOf<'opening'>['opening']['from'] {
  if (own.length || !sisters.all || machine.modelId === null) return []
  return tx
    .select({ tag: machines.tag, nickname: machines.nickname, steps: count() })
    .from(openingSteps)
    .innerJoin(machines, eq(machines.id, openingSteps.machineId))
    .where(and(eq(machines.modelId, machine.modelId), ne(machines.id, machine.id)))
    .groupBy(machines.id)
    .orderBy(asc(machines.id))
    .limit(mostRecords)
    .all()
}

/** The opening record, and its reassembly read backwards. */
export function openingView({ tx, file }: ViewInput): ViewOf<'opening'> {
  const { steps, findings, out, back } = reassemble(file.openingSteps)
  return {
    opening: {
      steps: file.openingSteps.map(({ id, version, step, state, photographId, ...undone }) => ({
        id,
        version,
        step,
        state,
        photographId,
        ...OpeningStep.of(undone),
        findings: steps.find(s => s.step === step)?.findings ?? [],
      })),
      findings,
      out,
      back,
      from: recordsOfSisters(tx, file),
    },
  }
}
