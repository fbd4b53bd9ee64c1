import type { ErrorAnswer } from '#shared/contracts/views'
import type { CommandName, CommandRequest } from '#shared/contracts/commands'

type Refused = ErrorAnswer['error']

const savedShowsForMs = 4000

/** Sends one command and keeps what became of it: busy, kept, refused with reasons, or overtaken by somebody else. */
export function useCommand<N extends CommandName>(name: MaybeRefOrGetter<N>, tag: MaybeRefOrGetter<string | undefined> = undefined) {
  const api = useApi()
  const machines = useMachines()
  const busy = ref(false)
  const saved = ref(false)
  const failure = ref('')
  const because = ref<string[]>([])
  const stale = shallowRef<Refused>()

  /** @returns the result when it was kept; the messages by field when the input was refused; neither when something else was in the way */
  async function submitCommand(input: CommandRequest<N>): Promise<{ result?: unknown, fields?: Record<string, string> }> {
    busy.value = true
    failure.value = ''
    because.value = []
    stale.value = undefined
    try {
      const { result } = await api.command(toValue(name), input, toValue(tag))
      saved.value = true
      setTimeout(() => (saved.value = false), savedShowsForMs)
      await machines.lookAgain(toValue(tag) ?? null)
      return { result }
    }
    catch (error) {
      if (!(error instanceof ApiError)) throw error
      if (error.answer.code === 'bad-input' && error.answer.fields) {
        failure.value = error.answer.message
        return { fields: error.answer.fields }
      }
      if (error.answer.code === 'stale') stale.value = error.answer
      else [failure.value, because.value] = [error.message, error.answer.because ?? []]
      return {}
    }
    finally {
      busy.value = false
    }
  }

  return { submitCommand, busy, saved, failure, because, stale }
}
