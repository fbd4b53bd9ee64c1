<script setup lang="ts">
import type { BoardView } from '#shared/chapters/continuity/index'

/** The boards of a model: their nets from files or from the schematic, shared by every machine of it. */
const props = defineProps<{ modelId: number }>()
const session = useSession()
const { found: boards, trouble } = useCollection<BoardView[]>(
  () => ['boards', props.modelId],
  () => `/api/models/${props.modelId}/boards`,
)
</script>

<template>
  <OneCard title="Boards and their nets" hint="Imported once, used for every machine of this model. Probe sheets under Mend are made from it.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <EmptyPlace
      v-else-if="boards && !boards.length"
      says="No board is known. Read a net list, a board file or a table, or type pin pairs from the schematic."
    />
    <ul v-else-if="boards" class="grid divide-y divide-line border-y border-line">
      <ChangeableRow v-for="board in boards" :key="board.id" :name="`${board.name} ${board.issue}`" may word="Open" :gone="board.active ? '' : 'Used no more'">
        <span class="font-semibold">{{ board.name }}{{ board.issue && `, issue ${board.issue}` }}</span
        ><span class="figure">{{ board.nets }} nets, {{ board.pins }} pins</span
        ><span class="hint">{{ [board.fileName, board.format].filter(Boolean).join(', ') }}</span>
        <template #form><OneBoard :board="board" /></template>
      </ChangeableRow>
    </ul>
    <AddPanel v-if="session.may('add-board')" v-slot="{ close }" label="Add a board"><AddBoard :model-id="modelId" @done="close()" /></AddPanel>
  </OneCard>
</template>
