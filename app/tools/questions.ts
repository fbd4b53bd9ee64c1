import { useLocalStorage } from '@vueuse/core'
import type { ToolId } from '#shared/tools/index'

/** What somebody comes to the wall with, in the order of the work. */
export const questions = {
  age: 'How old is it?',
  made: 'What is in it?',
  state: 'How bad is it, and what becomes of it?',
  harm: 'What may hurt me?',
  power: 'May it be switched on?',
  parts: 'Is this part good, and what burnt?',
  clean: 'How do I clean it?',
  white: 'Is it white again?',
  broken: 'Where is it broken?',
  why: 'Why does it not work?',
  instead: 'Will this part do instead?',
  buy: 'What do we buy, and who gets it?',
  cured: 'Is it cured?',
} as const
export type Question = keyof typeof questions
export const questionNames = Object.keys(questions) as Question[]

/** The question that each instrument answers; one without a question does not compile. */
export const questionOf: Record<ToolId, Question> = {
  'identify/date-code': 'age',
  'identify/dating': 'age',
  'identify/inventory': 'made',
  'condition/corrosion-area': 'state',
  'condition/corrosion-rating': 'state',
  'condition/triage': 'state',
  'power/discharge': 'harm',
  'power/battery': 'harm',
  'safety/lift': 'harm',
  'safety/gate': 'power',
  'power/supply-match': 'power',
  'power/off-state': 'power',
  'power/rails': 'power',
  'power/junction': 'parts',
  'power/trace': 'parts',
  'cleaning/methods': 'clean',
  'cleaning/neutralise': 'clean',
  'cleaning/bath': 'clean',
  'cleaning/peroxide': 'clean',
  'cleaning/drying': 'clean',
  'cleaning/colour-match': 'white',
  'cleaning/whitening-forecast': 'white',
  'continuity/probe-plan': 'broken',
  'continuity/patch-plan': 'broken',
  'diagnosis/ladder': 'why',
  'diagnosis/swap': 'why',
  'diagnosis/memory-fault': 'why',
  'diagnosis/address-map': 'why',
  'diagnosis/keyboard-matrix': 'why',
  'signals/capture': 'why',
  'mend/resources': 'why',
  'parts/substitute': 'instead',
  'parts/recap': 'parts',
  'parts/order': 'buy',
  'parts/allocate': 'buy',
  'retest/soak': 'cured',
}

const mostKept = 5
/** The instruments that were used last in this browser, the newest first. */
export function useUsedLast() {
  const used = useLocalStorage<string[]>('jolly-bench-instruments', [])
  return { used, using: (id: string) => (used.value = [id, ...used.value.filter(one => one !== id)].slice(0, mostKept)) }
}
