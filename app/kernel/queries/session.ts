import { defineStore } from 'pinia'
import type { Skill } from '#core/kernel/skills'
import type { CommandName } from '#shared/chapters/index'
import type { SessionView } from '#shared/chapters/people/index'

/** Who is signed in, and what they may do. */
export const useSession = defineStore('session', () => {
  const api = useApi()
  const view = ref<SessionView>()

  async function load() {
    view.value = await api.get<SessionView>('/api/session')
  }

  return {
    load,
    loaded: computed(() => view.value !== undefined),
    person: computed(() => view.value?.person ?? null),
    crew: computed(() => view.value?.crew ?? []),
    collection: computed(() => view.value?.collection ?? null),
    needsFirstStart: computed(() => view.value?.needsFirstStart ?? false),
    clockBehindMinutes: computed(() => view.value?.clockBehindMinutes ?? 0),
    demoSignIns: computed(() => view.value?.demoSignIns ?? []),
    /** Whether the one who is signed in has been granted it; what takes no skill is anybody's. */
    has: (skill: Skill | undefined) => !skill || (view.value?.crew.find(p => p.id === view.value?.person?.id)?.skills.includes(skill) ?? false),
    may: (command: CommandName) => view.value?.person?.may.includes(command) ?? false,
    async signOut() {
      await api.send('/api/session', undefined, { method: 'DELETE' })
      await load()
    },
  }
})
