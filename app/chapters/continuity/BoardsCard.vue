<script setup lang="ts">
import type { BoardView } from '#shared/chapters/continuity/index'

/** The boards of a model: their nets from files or from the schematic, shared by every machine of it. */
const props = defineProps<{ modelId: number }>()
const session = useSession()
const { found: boards, trouble } = useCollection<BoardView[]>(
  () => ['boards', props.modelId],
  () => `/api/models/${props.modelId}/boards`,
)
const open = ref<number>()
</script>

<template>
  <OneCard title="Boards and their nets" hint="Read once, used by every machine of this model. A probe sheet is made from them, under Mend.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <EmptyPlace
      v-else-if="boards && !boards.length"
      says="No board is known. Read a net list, a board file or a table, or type pin pairs from the schematic."
    />
    <ul v-else-if="boards" class="grid divide-y divide-line border-y border-line">
      <li v-for="board in boards" :key="board.id" class="grid gap-2 py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <span class="font-semibold">{{ board.name }}{{ board.issue && `, issue ${board.issue}` }}</span
          ><span class="figure">{{ board.nets }} nets, {{ board.pins }} pins</span
          ><span class="hint">{{ [board.fileName, board.format].filter(Boolean).join(', ') }}</span
          ><span v-if="!board.active" class="text-ink-2">Used no more</span
          ><button
            type="button"
            class="ml-auto text-sm underline max-[899px]:min-h-11"
            :aria-expanded="open === board.id"
            @click="open = open === board.id ? undefined : board.id"
          >
            {{ open === board.id ? 'Close' : 'Open' }}<span class="sr-only"> {{ board.name }} {{ board.issue }}</span>
          </button>
        </div>
        <OneBoard v-if="open === board.id" :board="board" />
      </li>
    </ul>
    <AddPanel v-if="session.may('add-board')" v-slot="{ close }" label="Add a board"><AddBoard :model-id="modelId" @done="close()" /></AddPanel>
  </OneCard>
</template>
