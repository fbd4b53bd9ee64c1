import { useNow } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { MachineSheet, MachineSummary } from '#shared/contracts/views'

/** The machines as lists show them, and the one whose sheet is open. Both follow what others do. */
export const useMachines = defineStore('machines', () => {
  const api = useApi()
  const now = useNow({ interval: 10_000 })
  const list = ref<MachineSummary[]>([])
  const listed = ref(false)
  const sheet = ref<MachineSheet>()
  const failure = ref('')
  /** Grows with every change that arrives, for places that keep lists of their own. */
  const changes = ref(0)

  async function kept(work: Promise<void>) {
    try {
      await work
      failure.value = ''
    }
    catch (error) {
      failure.value = error instanceof Error ? error.message : String(error)
    }
  }

  const loadList = () => kept(api.get<{ machines: MachineSummary[] }>('/api/machines').then(({ machines }) => {
    list.value = machines
    listed.value = true
  }))

  let wanted = ''
  const loadSheet = (tag: string) => {
    wanted = tag
    return api.get<MachineSheet>(`/api/machines/${encodeURIComponent(tag)}`).then((found) => {
      // An answer that was overtaken by another machine's sheet is dropped.
      if (wanted === tag) sheet.value = found
    })
  }

  /** Looks again at the list, and at the open sheet when it may have changed. */
  async function lookAgain(tag: string | null = sheet.value?.tag ?? null) {
    changes.value++
    const open = sheet.value?.tag
    await Promise.all([loadList(), ...(open && open === tag ? [kept(loadSheet(open))] : [])])
  }

  // When a wait runs out, the next moves change without anybody doing anything.
  const over = computed(() => [...list.value.flatMap(m => m.waits), ...sheet.value?.waits ?? []].filter(w => Date.parse(w.until) <= now.value.getTime()).length)
  watch(over, (count, before) => {
    if (count > before) void lookAgain()
  })

  /** Harm that grows comes first, then the newest. */
  const onBench = computed(() => list.value.filter(m => m.onBench).sort((a, b) => b.harm.rank - a.harm.rank))

  return { now, list, listed, sheet, failure, changes, loadList, loadSheet, lookAgain, onBench }
})
