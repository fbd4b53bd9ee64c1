import { useQuery, useQueryCache } from '@pinia/colada'
import { useTimeoutFn } from '@vueuse/core'
import type { ChapterName, SheetOf } from '#shared/chapters/index'
import type { LifeView, Page } from '#shared/kernel/answers'
import type { HistoryPart } from '#shared/kernel/history-parts'
import type { HistoryLine, MachineSummary, TodayView } from '#shared/kernel/machine'
import type { ListQuery } from './lists'

/** Answers that say the thing itself is gone, or closed to whoever asks. */
const noLonger = [401, 403, 404]
const againMs = 10_000
interface Looked {
  data: Ref<unknown>
  error: Ref<Error | null>
  refetch: () => Promise<unknown>
}
/**
 * What went wrong, where nothing can be shown for it. What was fetched once stays in sight when a later look fails, with whatever is typed into it: the
 * bar at the top says as of when it is, and it is looked at again.
 */
function troubleOf({ data, error, refetch }: Looked) {
  const keeps = computed(() => data.value !== undefined && !(error.value instanceof ApiError && noLonger.includes(error.value.status)))
  const again = useTimeoutFn(() => void refetch(), againMs, { immediate: false })
  watch(error, failed => failed && keeps.value && again.start())
  return computed(() => (error.value && !keeps.value ? error.value.message : ''))
}

/** The sheet of a machine: its head, and the chapters that whoever asks will show; they are fetched again when it changes. */
export function useSheet<C extends ChapterName>(tag: MaybeRefOrGetter<string>, shows: MaybeRefOrGetter<readonly C[]>) {
  const api = useApi()
  const looked = useQuery<SheetOf<C>>({
    key: () => ['machine', toValue(tag), 'sheet', ...toValue(shows)],
    query: () => api.get<SheetOf<C>>(`/api/machines/${encodeURIComponent(toValue(tag))}`, { show: toValue(shows).join(',') || ',' }),
  })
  return {
    sheet: computed(() => (looked.data.value?.tag === toValue(tag) ? looked.data.value : undefined)),
    trouble: troubleOf(looked),
    refetch: looked.refetch,
  }
}

/** A page of machines, filtered and sorted by the server; nothing is asked while `when` says not to. */
export function useMachineList(query: MaybeRefOrGetter<ListQuery>, when: MaybeRefOrGetter<boolean> = true) {
  const api = useApi()
  const asked = computed(() => Object.fromEntries(Object.entries(toValue(query)).filter(([, value]) => value !== undefined && value !== '')) as ListQuery)
  const looked = useQuery<Page<MachineSummary>>({
    key: () => ['machines', 'list', { ...asked.value }],
    query: () => api.get<Page<MachineSummary>>('/api/machines', asked.value),
    placeholderData: before => before as Page<MachineSummary> | undefined,
    enabled: () => toValue(when),
  })
  return { list: looked.data, trouble: troubleOf(looked), busy: computed(() => looked.asyncStatus.value === 'loading') }
}

export function useToday() {
  const api = useApi()
  const looked = useQuery<TodayView>({ key: ['machines', 'today'], query: () => api.get<TodayView>('/api/today') })
  return { today: looked.data, trouble: troubleOf(looked) }
}

/** Something of the collection as a whole, fetched again whenever anything changes. */
export function useCollection<T>(name: MaybeRefOrGetter<readonly (string | number)[]>, path: MaybeRefOrGetter<string>, query?: MaybeRefOrGetter<object>) {
  const api = useApi()
  const cache = useQueryCache()
  const key = () => ['collection', ...toValue(name)]
  const looked = useQuery<T>({ key, query: ({ signal }) => api.get<T>(toValue(path), toValue(query), signal) })
  const stopped = ref(false)
  /** Ends what is worked out for it; what was there before stays. */
  function stop() {
    stopped.value = true
    cache.cancelQueries({ key: key() })
  }
  function again() {
    stopped.value = false
    void looked.refetch()
  }
  // What comes all the same, because something changed meanwhile, is shown.
  watch(looked.data, () => (stopped.value = false))
  const trouble = troubleOf(looked)
  return { found: looked.data, trouble: computed(() => (stopped.value ? undefined : trouble.value)), stopped, stop, again }
}

const piece = 50
/** What happened to a machine, for its line of time. */
export function useLife(tag: MaybeRefOrGetter<string>) {
  const api = useApi()
  const looked = useQuery<LifeView>({
    key: () => ['machine', toValue(tag), 'life'],
    query: () => api.get<LifeView>(`/api/machines/${encodeURIComponent(toValue(tag))}/life`),
  })
  return { life: looked.data, trouble: troubleOf(looked) }
}

export interface HistoryNarrowing {
  part?: HistoryPart
  find?: string
}
/** The history of a machine, newest first, a piece at a time; narrowed to a part of it, or to what holds some words. */
export function useHistory(tag: MaybeRefOrGetter<string>, narrowing: MaybeRefOrGetter<HistoryNarrowing> = {}) {
  const api = useApi()
  const most = ref(piece)
  const path = () => `/api/machines/${encodeURIComponent(toValue(tag))}/history`
  const narrowed = computed(() => Object.fromEntries(Object.entries(toValue(narrowing)).filter(([, value]) => value)) as HistoryNarrowing)
  const looked = useQuery<{ lines: HistoryLine[]; more: boolean }>({
    key: () => ['machine', toValue(tag), 'history', most.value, { ...narrowed.value }],
    query: () => api.get(path(), { most: Math.min(most.value, 200), ...narrowed.value }),
    placeholderData: before => before as { lines: HistoryLine[]; more: boolean } | undefined,
  })
  /** Beyond what one answer holds, older pieces are fetched once and kept: they do not change but for being struck. */
  const older = ref<HistoryLine[]>([])
  const olderMore = ref<boolean>()
  watch([() => toValue(tag), narrowed], () => {
    ;[most.value, older.value, olderMore.value] = [piece, [], undefined]
  })
  const lines = computed(() => {
    const first = looked.data.value?.lines ?? []
    const seen = new Set(first.map(l => l.id))
    return [...first, ...older.value.filter(l => !seen.has(l.id))]
  })
  async function more() {
    if (most.value < 200) return void (most.value += piece)
    const last = lines.value.at(-1)
    if (!last) return
    const next = await api.get<{ lines: HistoryLine[]; more: boolean }>(path(), { before: last.seq, most: 200, ...narrowed.value })
    older.value.push(...next.lines)
    olderMore.value = next.more
  }
  return {
    lines,
    fetched: computed(() => looked.data.value !== undefined),
    trouble: troubleOf(looked),
    hasMore: computed(() => olderMore.value ?? looked.data.value?.more ?? false),
    more,
  }
}
