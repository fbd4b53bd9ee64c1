import { useQuery } from '@pinia/colada'
import { useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import { type Contact, contacts } from '#core/continuity/contact'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

const letters: Record<string, Contact> = { j: 'joined', h: 'high', o: 'open', w: 'wobbling' }

/** What somebody typed or pressed, as the command takes it: a letter or a word for what the buzzer said, else readings with ; between them. */
export function saidOf(said: string) {
  const word = said.trim().toLowerCase()
  const heard = letters[word] ?? contacts.find(c => c === word) ?? null
  const readingsOhm = heard
    ? []
    : said
        .split(/[;\n]+/)
        .map(r => r.trim())
        .filter(Boolean)
  // Readings are typed as people write them; the contract reads them.
  return { heard, readingsOhm: readingsOhm as never }
}

/** A probe sheet, and the check that whoever is here is at: taken from the server, so that two people never do one twice. */
export function useProbing(tag: () => string, sheetId: () => number) {
  const api = useApi()
  const { data, error } = useQuery<ProbeSheet>({
    key: () => ['machine', tag(), 'probe', sheetId()],
    query: () => api.get<ProbeSheet>(`/api/machines/${encodeURIComponent(tag())}/probe/${sheetId()}`),
  })
  const { submitCommand: take, failure: notTaken } = useCommand('take-probe', tag)
  const { submitCommand: answer, failure } = useCommand('answer-probe', tag)
  /** Whoever probes with two phones at once has two pairs. */
  const device = useLocalStorage('jolly-bench-device', uuidv7)
  const at = ref<number | null>()
  const typed = ref('')
  const beyond = ref(false)
  const last = ref<{ id: number; a: string; b: string; contact: Contact; says: string; because: string }>()
  /** From the press until the next pair is there: nothing typed meanwhile may land on another pair. */
  const busy = ref(false)
  const check = computed(() => data.value?.checks.find(c => c.id === at.value && (busy.value || c.contact === null)))

  // The sheet may come later than the check that was taken from it.
  watch(check, (now, before) => {
    if (now?.id !== before?.id) beyond.value = now?.beyond ?? false
  })

  /** One thing after another until the next pair is there, with no gap between in which an old one could be answered. */
  async function whole(work: () => Promise<void>) {
    if (busy.value) return
    busy.value = true
    try {
      await work()
    } finally {
      busy.value = false
    }
  }

  async function takeOne() {
    const { result } = await take({ sheetId: sheetId(), device: device.value })
    if (!result) return
    at.value = (result as { checkId: number | null }).checkId
    typed.value = ''
  }
  const next = () => whole(takeOne)

  /** Sends what was read, typed or heard; one letter stands for what the buzzer said. */
  const send = (said: Contact | string) =>
    whole(async () => {
      const asked = check.value
      if (!asked) return
      const { result, fields } = await answer({ checkId: asked.id, ...saidOf(said), beyond: beyond.value })
      if (fields) failure.value = Object.values(fields)[0] ?? failure.value
      if (!result) return
      last.value = { id: asked.id, a: asked.a.name, b: asked.b.name, ...(result as { contact: Contact; says: string; because: string }) }
      await takeOne()
    })
  return { sheet: data, trouble: computed(() => error.value?.message ?? ''), check, at, typed, beyond, last, busy, failure, notTaken, next, send }
}
