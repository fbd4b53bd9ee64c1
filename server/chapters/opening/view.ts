import { reassemble } from '#core/opening/reassembly'
import type { ViewOf } from '#shared/chapters/index'
import { OpeningStep } from '#shared/chapters/opening/index'
import type { ViewInput } from '../../kernel/file'
import { sistersHaving } from '../../kernel/sisters-having'
import { openingSteps } from './schema'

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
      // Where there is none yet, a sister's could be taken over.
      from: file.openingSteps.length ? [] : sistersHaving(tx, file, openingSteps).map(({ rows, tag, nickname }) => ({ tag, nickname, steps: rows })),
    },
  }
}
