import { defineStore } from 'pinia'
import type { CommandName } from '#shared/chapters/index'
import { type PartOutcome, partOutcomeNames } from '#shared/chapters/parts/words'
import type { CommandAnswer } from '#shared/kernel/answers'

/** What undoes an act that is no observation: the command, and what it asks for, from what the act was given and what came of it. */
const inverses: Partial<Record<CommandName, (input: object, result: unknown) => { name: CommandName; input: object; says: string } | undefined>> = {
  'put-on-bench': input => {
    const { onBench } = input as { onBench: boolean }
    return { name: 'put-on-bench', input: { onBench: !onBench }, says: onBench ? 'Put on the bench.' : 'Taken off the bench.' }
  },
  'tally-soak': input => {
    const { passes, failures } = input as { passes: number; failures: number }
    const one = failures ? 'A failed pass counted.' : 'A pass counted.'
    return { name: 'untally-soak', input, says: passes === 1 ? one : `${passes} passes counted, ${failures} failed.` }
  },
  'end-wait': input => ({ name: 'resume-wait', input: { waitId: (input as { waitId: number }).waitId }, says: 'Wait ended.' }),
  'settle-part': input => {
    const { partId, version, outcome } = input as { partId: number; version: number; outcome: PartOutcome }
    // What it was before is known of what was wanted alone.
    const says = `${partOutcomeNames[outcome]}.`
    return outcome === 'wanted' ? undefined : { name: 'settle-part', input: { partId, version: version + 1, outcome: 'wanted' }, says }
  },
  'meet-need': (input, result) => ({
    name: 'take-out-part',
    input: result as object,
    says: (input as { to: string }).to === 'fitted' ? 'Fitted. Taken back, it lies on the shelf.' : 'Set aside. Taken back, it lies on the shelf.',
  }),
  'do-cleaning-step': input => ({ name: 'reopen-cleaning-step', input: { stepId: (input as { stepId: number }).stepId }, says: 'Step done.' }),
  'leave-cleaning-step': input => ({ name: 'reopen-cleaning-step', input: { stepId: (input as { stepId: number }).stepId }, says: 'Step left out.' }),
  'finish-job': input => ({ name: 'reopen-job', input: { jobId: (input as { jobId: number }).jobId }, says: 'Marked as done.' }),
}

/** So long a press may be thought better of beside where it was made; later the history is where it is put right. */
const offeredMs = 10_000

/** Takes the last press back: an observation is struck, an act is turned round. One at a time, and only what this page did itself. */
export const useTakeBack = defineStore('take-back', () => {
  const api = useApi()
  const changes = useChanges()
  const session = useSession()
  const saving = useSaving()
  const offered = shallowRef<{ says: string; undo?: () => Promise<CommandAnswer> }>()
  const busy = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  function show(what: { says: string; undo?: () => Promise<CommandAnswer> }) {
    clearTimeout(timer)
    offered.value = what
    timer = setTimeout(() => (offered.value = undefined), offeredMs)
  }

  /** Hears of what was just carried out, and offers what would take it back, where something would. */
  function heard(name: CommandName, tag: string | undefined, input: object, { observed, result }: CommandAnswer) {
    const inverse = inverses[name]?.(input, result)
    if (observed && tag && session.may('strike-entry'))
      show({ says: observed.says, undo: () => api.command('strike-entry', { entryId: observed.entryId, reason: 'Taken back at once' }, tag) })
    else if (inverse && session.may(inverse.name)) show({ says: inverse.says, undo: () => api.command(inverse.name, inverse.input as never, tag) })
  }

  async function undo() {
    const asked = offered.value?.undo
    if (!asked || busy.value) return
    busy.value = true
    try {
      await saving.during(async () => {
        const { change } = await asked()
        show({ says: 'Undone.' })
        if (change) await changes.take(change)
      })
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      show({ says: [error.message, ...(error.answer.because ?? [])].join(' ') })
    } finally {
      busy.value = false
    }
  }
  return { offered, busy, heard, undo }
})
