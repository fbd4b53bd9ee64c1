import { useQueryCache } from '@pinia/colada'
import { useThrottleFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { type LiveChange, type Page, type Progress, mostCards } from '#shared/kernel/answers'
import type { MachineSummary, TodayView } from '#shared/kernel/machine'
import { type ListQuery, patchedList, patchedToday } from './lists'

/** Lists that have to be asked for anew are, but not more often than this: a slice of settled machines comes every few milliseconds. */
const pauseMs = 400
/** Changes that this page has heard of already, by its own command or by the stream. */
const mostRemembered = 200

/** Takes in what has changed: patches lists, and marks what has to be asked for anew. */
export const useChanges = defineStore('changes', () => {
  const cache = useQueryCache()
  const heard: string[] = []
  /** What is worked off in slices, by its id. */
  const progress = ref<Record<string, Progress>>({})

  const pending = new Set<string>()
  const flush = useThrottleFn(
    () => {
      const keys = [...pending]
      pending.clear()
      return Promise.all(keys.map(key => cache.invalidateQueries({ key: JSON.parse(key) as string[], exact: true })))
    },
    pauseMs,
    true,
  )
  const askAnew = (key: readonly unknown[]) => {
    pending.add(JSON.stringify(key))
    void flush()
  }

  function patchLists(change: LiveChange) {
    const incomplete = change.machines.length >= mostCards && change.tags.length > change.machines.length
    for (const { key } of cache.getEntries({ key: ['machines'] })) {
      const data = cache.getQueryData(key as [string])
      if (data === undefined) continue
      const [, kind, query] = key as unknown as [string, 'list' | 'today', ListQuery]
      const patched = incomplete
        ? null
        : kind === 'today'
          ? patchedToday(data as TodayView, change.machines)
          : patchedList(data as Page<MachineSummary>, query, change.machines)
      if (patched) cache.setQueryData(key as [string], patched)
      else askAnew(key)
    }
  }

  /** @returns once what is open has been fetched again */
  async function take(change: LiveChange): Promise<void> {
    if (heard.includes(change.id) && !change.progress) return
    heard.push(change.id)
    if (heard.length > mostRemembered) heard.shift()
    if (change.progress) progress.value = { ...progress.value, [change.progress.uid]: change.progress }
    patchLists(change)
    // What is known of models, parts and supplies counts and names machines.
    cache.getEntries({ key: ['collection'] }).forEach(({ key }) => askAnew(key))
    const sheets = change.collection ? [['machine']] : change.tags.map(tag => ['machine', tag])
    await Promise.all(sheets.map(key => cache.invalidateQueries({ key })))
  }

  /** After a lost connection nobody knows what was missed. */
  const lookAgain = () => cache.invalidateQueries()

  return { take, lookAgain, progress }
})
