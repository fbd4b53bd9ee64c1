import { enteredFactNames, factValue, powerFacts } from '../safety/power-facts'
import { type MachineState, lookedAt } from './machine-state'
import { type Stage, stageNames, stages } from './stages'

export interface RunStep { says: string, done: boolean }
export interface StageProgress { stage: Stage, title: string, steps: RunStep[], done: number, of: number, share: number }

const step = (says: string, done: boolean): RunStep => ({ says, done })

const stepsOf: Record<Stage, (m: MachineState) => RunStep[]> = {
  'arrive': m => [
    step('What it is', m.identified),
    step('Where it came from', m.provenanceKnown),
    step('When it last ran', m.lastPoweredKnown),
    step('What came with it', m.accessoriesNoted),
  ],
  'look': m => [...m.assemblies.map(a => step(a.name, lookedAt(a))), ...m.checks.map(c => step(c.says, c.done))],
  'make-safe': m => enteredFactNames.map((name) => {
    const value = factValue(name, m.facts[name])
    return step(powerFacts[name].title, value !== undefined && value.level !== 'stop')
  }),
  'clean': m => [step('A cleaning recorded', m.cleanings > 0), step('Every wait over', m.cleanings > 0 && m.waits.length === 0)],
  'mend': m => [
    ...m.faults.map(f => step(f.symptom, !f.open)),
    ...m.wantedParts.map(p => step(`Find ${p.name}`, false)),
  ],
  'prove': m => [...m.rails.map(r => step(`Rail ${r.name}`, r.verdict === 'good')), step('Signed off', m.signedOff)],
  'home': m => [step('Its life chosen', m.life !== null), step('In its place', m.stage === 'home')],
}

/**
 * How much of each stage is done. A stage without any step of its own counts as done once the machine has moved past it.
 * @returns the seven stages in order, each with its steps and the share done, 0 to 1
 */
export function runOf(machine: MachineState): StageProgress[] {
  const at = stages.indexOf(machine.stage)
  return stages.map((stage, i) => {
    const steps = stepsOf[stage](machine)
    const done = steps.filter(s => s.done).length
    const share = steps.length ? done / steps.length : i < at ? 1 : 0
    return { stage, title: stageNames[stage], steps, done, of: steps.length, share }
  })
}
