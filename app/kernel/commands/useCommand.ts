import { v7 as uuidv7 } from 'uuid'
import type { ErrorAnswer } from '#shared/kernel/answers'
import type { CommandName, CommandRequest } from '#shared/chapters/index'

type Refused = ErrorAnswer['error']

/** A request on its way, and the id it went under. */
export interface Unanswered {
  body: string
  id: string
}

const savedShowsForMs = 4000

/** Sends one command and keeps what became of it: busy, kept, refused with reasons, or overtaken by somebody else. */
export function useCommand<N extends CommandName>(name: MaybeRefOrGetter<N>, tag: MaybeRefOrGetter<string | undefined> = undefined) {
  const api = useApi()
  const changes = useChanges()
  const outbox = useOutbox()
  const back = useTakeBack()
  const saving = useSaving()
  const busy = ref(false)
  const saved = ref(false)
  /** It could not be sent, and waits in the outbox. */
  const waits = ref(false)
  const failure = ref('')
  const because = ref<string[]>([])
  /** What a letter to the owner would ask, where they have to be asked first. */
  const question = ref('')
  const stale = shallowRef<Refused>()

  /** The same request sent again after the connection failed, or after the page went, is the same command: it is carried out once. */
  const unanswered = shallowRef<Unanswered>()
  async function sent(input: CommandRequest<N>) {
    const body = JSON.stringify([toValue(name), toValue(tag), input])
    const id = unanswered.value?.body === body ? unanswered.value.id : uuidv7()
    unanswered.value = { body, id }
    try {
      const answer = await api.command(toValue(name), input, toValue(tag), id)
      unanswered.value = undefined
      return answer
    } catch (error) {
      if (error instanceof ApiError && error.status !== 0) unanswered.value = undefined
      throw error
    }
  }

  /** Puts into the outbox what may wait, under the id it was tried with: it may have arrived. */
  function putOff(input: CommandRequest<N>): boolean {
    if (!unanswered.value || !outbox.put(toValue(name), { id: unanswered.value.id, tag: toValue(tag), input: input as object })) return false
    unanswered.value = undefined
    return true
  }

  function putOffNow() {
    ;[waits.value, failure.value] = [true, waitsHere]
    return { waits: true }
  }

  /**
   * @returns the result when it was kept; the messages by field when the input was refused; that it waits, when it could not be sent now and will be;
   * nothing when something else was in the way
   */
  async function submit(input: CommandRequest<N>): Promise<{ result?: unknown; fields?: Record<string, string>; waits?: boolean }> {
    busy.value = true
    waits.value = false
    failure.value = ''
    because.value = []
    question.value = ''
    stale.value = undefined
    try {
      // What was said earlier goes first: a reading that waited must not arrive after a newer one.
      if (outbox.waiting.length) await outbox.send()
      if (outbox.waiting.length) {
        if (outbox.put(toValue(name), { id: uuidv7(), tag: toValue(tag), input: input as object })) return putOffNow()
        throw new ApiError(0, { code: 'unreachable', message: othersFirst })
      }
      const answer = await sent(input)
      const { result, change } = answer
      saved.value = true
      back.heard(toValue(name), toValue(tag), input as object, answer)
      setTimeout(() => (saved.value = false), savedShowsForMs)
      if (change) await changes.take(change)
      return { result }
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      if (error.status === 0 && putOff(input)) return putOffNow()
      if (error.answer.code === 'bad-input' && error.answer.fields) {
        failure.value = error.answer.message
        return { fields: error.answer.fields }
      }
      if (error.answer.code === 'stale') stale.value = error.answer
      else [failure.value, because.value, question.value] = [error.message, error.answer.because ?? [], error.answer.question ?? '']
      return {}
    } finally {
      busy.value = false
    }
  }

  const submitCommand = (input: CommandRequest<N>) => saving.during(() => submit(input))

  return { submitCommand, busy, saved, waits, failure, because, question, stale, unanswered }
}
