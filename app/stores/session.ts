import { defineStore } from 'pinia'
import type { CommandName } from '#shared/contracts/commands'
import type { SessionView } from '#shared/contracts/views'

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
    collection: computed(() => view.value?.collection ?? null),
    needsFirstStart: computed(() => view.value?.needsFirstStart ?? false),
    demoSignIns: computed(() => view.value?.demoSignIns ?? []),
    may: (command: CommandName) => view.value?.person?.may.includes(command) ?? false,
    async signOut() {
      await api.send('/api/session', undefined, 'DELETE')
      await load()
    },
  }
})
