import { rules } from '../condition/implied-checks'
import { InputError } from '../kernel/input-error'
import type { PowerFacts } from '../safety/power-facts'

/**
 * What got into a machine and has to leave it again, step by step; only the last one, looking again, opens the gate's reason.
 * Residue of a battery goes home with its battery. Common practice, no source.
 */
export const contaminationKinds = {
  liquid: { title: 'Liquid', way: ['rinsed', 'dried', 'gone'] },
  dirt: { title: 'Conductive or heavy dirt', way: ['cleaned', 'gone'] },
  electrolyte: { title: 'Capacitor electrolyte', way: ['washed', 'dried', 'gone'] },
} as const satisfies Record<string, { title: string; way: readonly ContaminationStep[] }>
export type ContaminationKind = keyof typeof contaminationKinds
export const contaminationSteps = ['rinsed', 'washed', 'cleaned', 'dried', 'gone'] as const
export type ContaminationStep = (typeof contaminationSteps)[number]
export type ContaminationState = 'present' | ContaminationStep
export const contaminationStateNames: Record<ContaminationState, string> = {
  present: 'Present',
  rinsed: 'Rinsed',
  washed: 'Washed off',
  cleaned: 'Cleaned out',
  dried: 'Dried',
  gone: 'Looked at again: gone',
}
const doing: Record<ContaminationStep, string> = {
  rinsed: 'Rinse it with distilled water, more than once, until nothing of it is left on a swab.',
  washed: 'Wash it off with alcohol, then with cleaner and distilled water where the board bears it.',
  cleaned: 'Brush and vacuum it out, with a mask on; wipe what stays.',
  dried: 'Dry it through, warm and slowly; let the wait run out, and say so once it is dry.',
  gone: 'Look again under everything it may have reached, and at the other side of the board.',
}
/** Where liquid creeps; the same as a tide line implies. */
const looks: Record<ContaminationKind, readonly string[]> = {
  liquid: rules.find(r => r.code === 'water')?.checks ?? [
    'Under sockets and connectors',
    'The other side of the board',
    'Inside the supply and under its transformer',
  ],
  dirt: ['Under cards and connectors', 'Inside the supply and its fan'],
  electrolyte: ['Under the capacitors and along the traces', 'The other side of the board'],
}
export const looksAfter = (kind: ContaminationKind): readonly string[] => looks[kind]

export interface Contamination {
  kind: ContaminationKind
  where: string
  state: ContaminationState
  /** When it was found, or last changed. */
  at: string
}

/** What is done next with it, and how; nothing once it is gone. */
export function nextCleaningStep({ kind, state }: Pick<Contamination, 'kind' | 'state'>): { step: ContaminationStep; do: string } | null {
  const way: readonly ContaminationStep[] = contaminationKinds[kind].way
  const step = way[way.indexOf(state as ContaminationStep) + 1]
  return state === 'gone' || !step ? null : { step, do: doing[step] }
}

/**
 * Whether this step may be said of it now.
 * @param lookedAt places that somebody has looked at @param wet what of the machine is drying still, in words
 * @throws InputError for a step out of turn, what is not dry yet, or a place that nobody has looked at
 */
export function checkContaminationStep(
  one: Pick<Contamination, 'kind' | 'state'>,
  step: ContaminationStep,
  lookedAt: readonly string[],
  wet: readonly string[],
): void {
  const next = nextCleaningStep(one)
  if (next?.step !== step) throw new InputError('step', step, next ? `First: ${next.do}` : 'Nothing of it is left to do.')
  if ((step === 'dried' || step === 'gone') && wet.length) throw new InputError('step', step, `Not yet: ${wet[0]}.`)
  const missing = step === 'gone' ? looksAfter(one.kind).filter(place => !lookedAt.includes(place)) : []
  if (missing.length) throw new InputError('lookedAt', lookedAt, `Not looked at yet: ${missing.map(m => m.charAt(0).toLowerCase() + m.slice(1)).join('; ')}.`)
}

/**
 * What contamination on record says of the fact for power; nothing where none is on record.
 * Liquid that went and dirt that went are told apart: that the dirt is out says nothing of a tide line.
 */
export function dirtFact(all: readonly Contamination[]): PowerFacts['liquidOrDirt'] {
  const counted = all.filter(c => c.kind !== 'electrolyte')
  if (counted.some(c => c.state !== 'gone')) return 'yes'
  return counted.some(c => c.kind === 'liquid') ? 'dried' : counted.length ? 'cleaned' : undefined
}
