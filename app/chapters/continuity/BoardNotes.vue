<script setup lang="ts">
import { areaLine, readAreas } from '#core/continuity/areas'
import { readFunctions } from '#core/continuity/explained'
import type { BoardView } from '#shared/chapters/continuity/index'

/** What the nets of a board do, and what wires keep clear of. */
const props = defineProps<{ board: BoardView }>()
const ids = [useId(), useId()]
const asTyped = () => [props.board.functions.map(f => `${f.net}: ${f.does}`).join('\n'), props.board.areas.map(areaLine).join('\n')] as const
const [functionsText, areasText] = [ref(asTyped()[0]), ref(asTyped()[1])]
const functions = computed(() => readFunctions(functionsText.value))
const areas = computed(() => readAreas(areasText.value))
const problems = computed(() => [...functions.value.problems, ...areas.value.problems])
const { submitCommand, busy, saved, failure, stale } = useCommand('set-board-notes')
const keep = () => submitCommand({ boardId: props.board.id, version: props.board.version, functions: functions.value.functions, areas: areas.value.areas })
function takeTheirs() {
  ;[functionsText.value, areasText.value] = asTyped()
  stale.value = undefined
}
const worded = (list: { line: number; message: string }[]) => (list[0] ? `Line ${list[0].line}: ${list[0].message}` : undefined)
</script>

<template>
  <form class="grid gap-3" aria-label="What the nets do" @submit.prevent="keep">
    <div class="grid gap-3 md:grid-cols-2">
      <FieldFrame
        :id="ids[0]!"
        label="What the nets do, one a line"
        hint="Such as KD3: data line 3 of the keyboard port; KD* stands for all of them"
        :message="worded(functions.problems)"
      >
        <textarea :id="ids[0]" v-model="functionsText" class="entry figure" rows="6" />
      </FieldFrame>
      <FieldFrame
        :id="ids[1]!"
        label="Where wires must not go, in mm"
        hint="socket, hole, slot or hot with x y width height; via with x y"
        :message="worded(areas.problems)"
      >
        <textarea :id="ids[1]" v-model="areasText" class="entry figure" rows="6" />
      </FieldFrame>
    </div>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <div v-if="stale" role="alert" class="border-l-4 border-care bg-care-wash px-3 py-1">
      <p>Somebody else saved notes in the meantime; yours are still here. Press Save again to replace theirs, or use theirs:</p>
      <pre class="figure text-sm whitespace-pre-wrap">{{ asTyped().join('\n') }}</pre>
      <button type="button" class="button" @click="takeTheirs">Use theirs</button>
    </div>
    <p class="flex items-center gap-3">
      <button type="submit" class="button" :disabled="busy || problems.length > 0">Save notes</button>
      <span v-if="saved" role="status" class="hint">Saved</span>
    </p>
  </form>
</template>
