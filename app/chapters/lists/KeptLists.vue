<script setup lang="ts">
import { PhBookmarkSimple, PhX } from '~/kernel/signs/icons'
import type { KeptList } from '#shared/chapters/lists/index'
import type { MachineNarrowing } from '#shared/kernel/machine'

/** Lists that were kept under a name, for everybody, each with how many are in it now. */
const props = defineProps<{ question: Partial<MachineNarrowing>; narrowed: number }>()
const session = useSession()
const { found } = useCollection<{ lists: KeptList[] }>(['lists'], '/api/lists')
const { submitCommand: drop } = useCommand('drop-list')
const open = ref(false)
const same = (list: KeptList) => {
  const plain = (query: object) => JSON.stringify(Object.entries(query).sort(([a], [b]) => a.localeCompare(b)))
  return plain(list.query) === plain(props.question)
}
const openList = computed(() => found.value?.lists.find(same))
const to = (list: KeptList) => ({ path: '/store', query: list.query as Record<string, string> })
</script>

<template>
  <div v-if="found?.lists.length || narrowed" class="grid gap-2">
    <div class="flex flex-wrap items-center gap-x-2 gap-y-1">
      <nav v-if="found?.lists.length" aria-label="Saved lists" class="flex flex-wrap gap-1">
        <NuxtLink
          v-for="list in found.lists"
          :key="list.id"
          :to="to(list)"
          class="choice text-ink no-underline"
          :class="same(list) && 'bg-mat! font-semibold'"
          :aria-current="same(list) ? 'true' : undefined"
          :title="`Saved by ${list.by}`"
          >{{ list.name }}&ensp;<span class="figure">{{ list.machines }}{{ list.atLeast ? '+' : '' }}</span></NuxtLink
        >
      </nav>
      <button v-if="openList && session.may('drop-list')" type="button" class="button button-quiet wide:min-h-8!" @click="drop({ listId: openList.id })">
        <PhX aria-hidden="true" />Delete list
      </button>
      <button
        v-else-if="narrowed && session.may('keep-list')"
        type="button"
        class="button button-quiet wide:min-h-8!"
        :aria-expanded="open"
        @click="open = !open"
      >
        <PhBookmarkSimple aria-hidden="true" />Save list
      </button>
    </div>
    <CommandForm
      v-if="open && narrowed"
      command="keep-list"
      :initial="{ name: '' }"
      :fixed="{ query: question as MachineNarrowing }"
      label="Save list"
      submit="Save"
      class="max-w-md bg-card p-3"
      @done="open = false"
      ><TextField name="name" label="Name of the list" hint="Everybody can see it. If the name is taken, this list replaces the old one."
    /></CommandForm>
  </div>
</template>
