import { defineStore } from 'pinia'
import { useLocalStorage } from '@vueuse/core'
import type { CommandName } from '#shared/chapters/index'
import type { Unanswered } from '../commands/useCommand'

/** What somebody has typed into a form and not sent yet; it lies in the browser of the bench, and is shown to nobody else. */
export interface Draft {
  /** Who typed it; another person at the same browser does not see it. */
  personId: number
  /** What the form is called, and where it stands. */
  label: string
  path: string
  /** The panel that has to be opened to see it; empty where the form is always in sight. */
  panel: string
  values: Record<string, unknown>
  /** What the form said when typing began, and the version it had then. */
  start: Record<string, unknown>
  version?: number
  /** It was on its way when the page went: sent again unchanged it is the same command. */
  unanswered?: Unanswered
  at: string
}

/** Passwords are kept nowhere; and what was ticked before a start was seen then, not now. */
export const neverKept: readonly CommandName[] = ['add-person', 'set-password', 'set-own-password', 'begin-start']

/** So many are kept; the oldest go first. */
const mostDrafts = 60

/** Drafts of every form, over pages, reloads and lost connections, until they are sent or thrown away. */
export const useDrafts = defineStore('drafts', () => {
  const session = useSession()
  const all = useLocalStorage<Record<string, Draft>>('jolly-bench-drafts', {})
  const mine = computed(() =>
    Object.entries(all.value)
      .filter(([, draft]) => draft.personId === session.person?.id)
      .map(([key, draft]) => ({ key, ...draft }))
      .sort((a, b) => (a.at < b.at ? 1 : -1)),
  )
  const keyOf = (form: string) => `${session.person?.id ?? 0}/${form}`
  const read = (form: string): Draft | undefined => all.value[keyOf(form)]
  function write(form: string, draft: Omit<Draft, 'personId' | 'at'>) {
    const kept = { ...all.value, [keyOf(form)]: { ...draft, personId: session.person?.id ?? 0, at: new Date().toISOString() } }
    const newest = Object.entries(kept).sort(([, a], [, b]) => (a.at < b.at ? 1 : -1))
    all.value = Object.fromEntries(newest.slice(0, mostDrafts))
  }
  const drop = (form: string) => throwAway(keyOf(form))
  function throwAway(key: string) {
    if (!(key in all.value)) return
    const { [key]: _, ...others } = all.value
    all.value = others
  }
  return { mine, read, write, drop, throwAway }
})
