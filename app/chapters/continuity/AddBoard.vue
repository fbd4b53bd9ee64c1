<script setup lang="ts">
import { readPairs, withPairs } from '#core/continuity/pairs'
import { rowOf } from '#shared/chapters/continuity/index'

/** A board from a file, or from pin pairs as they are read off the schematic. */
defineProps<{ modelId: number }>()
defineEmits<{ done: [] }>()
const { file, list, trouble, busy, read, cancel } = useNetListFile()
const id = useId()
const pairsText = ref('')
const pairs = computed(() => readPairs(pairsText.value))
const typed = computed(() => (pairs.value.pairs.length ? withPairs([], pairs.value.pairs) : undefined))
const pins = computed(() => list.value?.pins ?? typed.value?.pins ?? [])
const problems = computed(() => list.value?.problems ?? pairs.value.problems)
const nets = computed(() => new Set(pins.value.map(p => p.net)).size)
const fixed = computed(() => ({
  rows: pins.value.map(rowOf),
  fileName: list.value ? (file.value?.name ?? '').slice(0, 120) : '',
  format: list.value?.format ?? 'schematic',
}))
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 md:grid-cols-2">
      <FieldFrame
        :id="id"
        v-slot="{ described }"
        label="From a file"
        hint="IPC-D-356, a board file or net list in s-expressions, or CSV of net, part, pin and, where known, x, y, side"
        :message="trouble"
        ><input :id="id" type="file" class="entry" :aria-describedby="described" @change="e => read((e.target as HTMLInputElement).files?.[0])"
      /></FieldFrame>
      <FieldFrame
        :id="`${id}-pairs`"
        v-slot="{ described }"
        label="Or from the schematic, pair by pair"
        hint="Such as U7.12 - R31.1; a line “page 3” holds for those below it"
      >
        <textarea :id="`${id}-pairs`" v-model="pairsText" class="entry figure" rows="4" :disabled="!!list" :aria-describedby="described" />
      </FieldFrame>
    </div>
    <p v-if="busy" role="status" class="flex items-center gap-3">Reading… <button type="button" class="button" @click="cancel">Cancel</button></p>
    <ul v-if="problems.length" class="max-h-40 overflow-auto text-stop" aria-label="Lines that could not be read">
      <li v-for="(problem, i) in problems" :key="i">Line {{ problem.line }}: {{ problem.message }}</li>
    </ul>
    <template v-if="pins.length">
      <p>
        <strong class="figure">{{ nets }} nets, {{ pins.length }} pins</strong>
        <span v-if="list" class="hint">&ensp;{{ list.format }}{{ list.unconnected ? `; ${list.unconnected} pins belong to no net` : '' }}</span>
      </p>
      <CommandForm
        command="add-board"
        :initial="{ name: 'Main board', issue: '' }"
        :fixed="{ modelId, ...fixed }"
        label="Add a board"
        submit="Save board"
        @done="$emit('done')"
        ><div class="grid gap-3 sm:grid-cols-2">
          <TextField name="name" label="Board" /><TextField name="issue" label="Issue" hint="As marked on the board, such as B" /></div
      ></CommandForm>
    </template>
  </div>
</template>
