import { useEventListener } from '@vueuse/core'
import { createStore, del, entries, set } from 'idb-keyval'
import { defineStore } from 'pinia'
import type { CommandName } from '#shared/chapters/index'
import { type MayWait, mayWait, waits } from '#shared/kernel/may-wait'
import type { ErrorAnswer } from '#shared/kernel/answers'

/** Something said and not sent yet; it lies in the browser of the bench, under the id it is carried out by, once. */
export interface Waiting {
  id: string
  personId: number
  name: MayWait
  tag?: string
  input: object
  /** A photograph that goes before its command. */
  file?: Blob
  at: string
  /** The same by the clock of this device, which alone says how long it waited. */
  putAtMs?: number
  /** Why the bench did not take it, once it has said so; it is not tried again by itself. */
  refused?: string
}

const tryEveryMs = 10_000
/** The browser's own database holds photographs too; what it cannot hold is kept as long as the page. */
const kept = typeof indexedDB === 'undefined' ? undefined : createStore('jolly-bench-outbox', 'waiting')
const quietly = (what: Promise<unknown> | undefined) => void what?.catch(() => {})

/** What could not be sent waits here and goes, in the order it was said in, when the bench answers again. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const api = useApi()
  const changes = useChanges()
  const clock = useClock()
  const all = ref<Waiting[]>([])
  const mine = computed(() => all.value.filter(w => w.personId === session.person?.id))
  const waiting = computed(() => mine.value.filter(w => !w.refused))
  const refused = computed(() => mine.value.filter(w => w.refused))

  /** What this browser could not keep, as when its disk is full or it keeps nothing of this site: it is lost with the page, and whoever said it is told. */
  const heldByPage = ref<string[]>([])
  useEventListener('beforeunload', event => {
    if (heldByPage.value.length) event.preventDefault()
  })
  function keep(one: Waiting) {
    // It may be gone by then: sent, or discarded.
    const hold = () => void (all.value.some(w => w.id === one.id) && heldByPage.value.push(one.id))
    if (kept) set(one.id, one, kept).catch(hold)
    else hold()
  }

  /** What an earlier page left behind. */
  const opened = (async () => {
    const earlier = kept ? await entries<string, Waiting>(kept).catch(() => []) : []
    all.value = [...earlier.map(([, one]) => one), ...all.value].sort((a, b) => (a.id < b.id ? -1 : 1))
  })()

  /** @returns whether it may wait; only then is it kept */
  function put(name: CommandName, one: Omit<Waiting, 'name' | 'personId' | 'at'>): boolean {
    if (!waits(name) || !session.person) return false
    const plain = {
      ...one,
      name,
      personId: session.person.id,
      at: clock.now.toISOString(),
      putAtMs: Date.now(),
      input: JSON.parse(JSON.stringify(one.input)) as object,
    }
    all.value.push(plain)
    keep(plain)
    setTimeout(() => void send(), tryEveryMs)
    return true
  }

  function gone(id: string) {
    all.value = all.value.filter(w => w.id !== id)
    heldByPage.value = heldByPage.value.filter(held => held !== id)
    quietly(kept && del(id, kept))
  }

  async function sent(one: Waiting) {
    const { hash } = one.file ? await api.sendFile<{ hash: string }>('/api/files', one.file) : { hash: undefined }
    const input = hash ? { ...one.input, hash } : one.input
    const { change } = await api.command(one.name, input as never, one.tag, one.id, one.putAtMs === undefined ? 0 : Date.now() - one.putAtMs)
    gone(one.id)
    if (change) await changes.take(change)
  }

  async function sendAll() {
    await opened
    for (let next = waiting.value[0]; next; next = waiting.value[0]) {
      try {
        await sent(next)
      } catch (error) {
        if (!(error instanceof ApiError)) throw error
        // Neither the line nor who sits at the bench is the matter's own fault: it waits on.
        if ([0, 401, 429, 502, 503, 504].includes(error.status)) return void setTimeout(() => void send(), tryEveryMs)
        const told = { ...next, refused: wordsOfRefusal(error.answer) }
        all.value = all.value.map(w => (w.id === told.id ? told : w))
        // Where this cannot be kept, it lies there as it was, and is refused anew.
        quietly(kept && set(told.id, toRaw(told), kept))
      }
    }
  }
  let sending: Promise<void> | undefined
  /** Sends what waits, one after the other; what is refused is told, and what comes after it goes on. @returns once nothing waits, or nothing can be sent */
  const send = (): Promise<void> => (sending ??= sendAll().finally(() => (sending = undefined)))
  return { waiting, refused, heldByPage, put, send, discard: gone }
})

const wordsOfRefusal = (answer: ErrorAnswer['error']) => [answer.message, ...Object.values(answer.fields ?? {}), ...(answer.because ?? [])].join(' ')
/** What was said, in the figures and words that were typed: for whoever has to enter it again. */
export const saidIn = (input: object): string =>
  Object.values(input)
    .filter(value => (typeof value === 'string' && value !== '') || typeof value === 'number')
    .join(', ')
/** Each is a command; one that was renamed does not compile. */
const waitingNames: Partial<Record<CommandName, string>> & Record<MayWait, string> = mayWait
export const waitingWords = (name: MayWait) => waitingNames[name]
/** Said where something may not wait, while what was said before it still does: a danger among that is heard before anything is begun. */
export const othersFirst = 'What you said before waits to be sent first. Try again in a moment.'
export const waitsHere = 'Not sent yet: the bench cannot be reached. It waits in this browser and is sent by itself.'
