import type { RunStep } from '../kernel/step'
import { disciplines } from './disciplines'
import type { MachineKnown } from '../kernel/machine'
import { type Stage, stageNames, stages } from '../kernel/stages'

export interface StageProgress {
  stage: Stage
  title: string
  steps: RunStep[]
  done: number
  of: number
  share: number
}

/**
 * How much of each stage is done. A stage without any step of its own counts as done once the machine has moved past it.
 * @returns the seven stages in order, each with its steps and the share done, 0 to 1
 */
export function runOf(known: MachineKnown): StageProgress[] {
  const at = stages.indexOf(known.stage)
  return stages.map((stage, i) => {
    const steps = disciplines.flatMap(d => d.steps?.[stage]?.(known) ?? [])
    const done = steps.filter(s => s.done).length
    const share = steps.length ? done / steps.length : i < at ? 1 : 0
    return { stage, title: stageNames[stage], steps, done, of: steps.length, share }
  })
}
