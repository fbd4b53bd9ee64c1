import type { CommandName, commands } from '#shared/chapters/index'

/**
 * The contracts of the commands, fetched when the first form asks for them: most of what is looked at needs none, and they are a third of the scripts.
 * A form shows before they have come; it is checked by them from then on, and never sent without.
 */
const here = shallowRef<typeof commands>()
let coming: Promise<typeof commands> | undefined

const contractsFetched = () =>
  (coming ??= import('#shared/chapters/index').then(
    all => (here.value = all.commands),
    error => {
      // Asked again by whoever comes next: the line may be back by then.
      coming = undefined
      throw error
    },
  ))

/** The contract of a command: as far as it is here now, and waited for. */
export function useContract<N extends CommandName>(name: () => N) {
  // Trouble on the line is told where something is sent.
  contractsFetched().catch(() => {})
  return { contract: computed(() => here.value?.[name()]), contractFetched: async () => (await contractsFetched())[name()] }
}
