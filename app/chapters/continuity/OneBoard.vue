<script setup lang="ts">
import { readPairs } from '#core/continuity/pairs'
import type { BoardView } from '#shared/chapters/continuity/index'

/** One board: what stands in it, pairs added to it, pins that are not as its file has them. */
const props = defineProps<{ board: BoardView }>()
const session = useSession()
const times = useTimes()
const text = ref('')
const id = useId()
const read = computed(() => readPairs(text.value))
const merged = ref<number>()
const { submitCommand: add, busy, failure, stale } = useCommand('add-pairs')
const chartParts = computed(() => props.board.parts.slice(0, 6).join())
async function addPairs() {
  const { result } = await add({ boardId: props.board.id, version: props.board.version, pairs: read.value.pairs })
  if (!result) return
  merged.value = (result as { merged: number }).merged
  text.value = ''
}
</script>

<template>
  <div class="grid gap-3 border-l-4 border-line pl-3">
    <p><NuxtLink :to="`/boards/${board.id}/charts?parts=${encodeURIComponent(chartParts)}`">Pin charts</NuxtLink></p>
    <p class="figure text-sm">{{ board.parts.slice(0, 200).join(' ') }}{{ board.parts.length > 200 ? ' …' : '' }}</p>
    <ul v-if="board.struck.length" aria-label="Different from the file">
      <li v-for="one in board.struck" :key="one.pin">
        <span class="figure font-semibold">{{ one.pin }}</span> is struck: {{ one.reason }} <span class="hint">{{ one.by }}, {{ times.day(one.at) }}</span>
      </li>
    </ul>
    <AddPanel v-if="session.may('add-pairs')" label="Pairs from the schematic">
      <div class="grid gap-2">
        <FieldFrame :id="id" v-slot="{ described }" label="Pin pairs, one a line" hint="Such as U7.12 - R31.1, page 3">
          <textarea :id="id" v-model="text" class="entry figure" rows="4" :aria-describedby="described" />
        </FieldFrame>
        <p v-for="problem in read.problems" :key="problem.line" class="text-stop">Line {{ problem.line }}: {{ problem.message }}</p>
        <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
        <p v-if="stale" role="alert" class="text-care">The board was changed meanwhile; it is shown as it is now. Press again to add these too.</p>
        <p v-if="merged" role="status" class="text-care">{{ merged }} of them made one net of two that had names: one of the two is probably wrong.</p>
        <button type="button" class="button w-fit" :disabled="busy || !read.pairs.length" @click="addPairs">Add {{ read.pairs.length }} pairs</button>
      </div>
    </AddPanel>
    <AddPanel v-if="session.may('add-part-pins')" label="A part typed by hand"><TypedPart :board-id="board.id" :version="board.version" /></AddPanel>
    <AddPanel v-if="session.may('set-board-notes')" label="What the nets do, and where wires must not go"><BoardNotes :board="board" /></AddPanel>
    <AddPanel v-if="session.may('strike-board-pin')" v-slot="{ close }" label="A pin differs from the file">
      <CommandForm
        command="strike-board-pin"
        :initial="{ pin: '', reason: '' }"
        :fixed="{ boardId: board.id }"
        label="A pin differs from the file"
        submit="Strike it"
        @done="close()"
        ><p class="hint">The file is unchanged; probe sheets skip this pin from now on.</p>
        <div class="grid gap-3 sm:grid-cols-2"><TextField name="pin" label="Pin" hint="Such as U7.12" /><TextField name="reason" label="What is wrong" /></div
      ></CommandForm>
    </AddPanel>
    <AddPanel v-if="session.may('change-board')" v-slot="{ close }" label="Name and issue">
      <CommandForm
        command="change-board"
        :initial="{ name: board.name, issue: board.issue, active: board.active }"
        :fixed="{ boardId: board.id, version: board.version }"
        :words="{ name: 'Board', issue: 'Issue', active: 'In use' }"
        label="Name and issue"
        submit="Save"
        keeps
        @done="close()"
        ><div class="grid gap-3 sm:grid-cols-2"><TextField name="name" label="Board" /><TextField name="issue" label="Issue" /></div>
        <TickField name="active" label="In use"
      /></CommandForm>
    </AddPanel>
  </div>
</template>
