<script setup lang="ts">
import type { ErrorAnswer } from '#shared/kernel/answers'

/** Somebody else changed the same thing: both versions side by side, and a choice. */
const props = defineProps<{
  stale: ErrorAnswer['error']
  mine: Record<string, unknown>
  /** Fields that both changed; all else is merged by itself. */
  conflicts: string[]
  words: Record<string, string>
  show?: (field: string, value: unknown) => string | undefined
}>()
defineEmits<{ keepMine: []; takeTheirs: [] }>()

const times = useTimes()
const shown = (field: string, value: unknown) =>
  props.show?.(field, value) ??
  (value === null || value === undefined || value === '' ? '—' : typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value))
const differing = computed(() => {
  const [theirs, mine] = [flat(props.stale.current ?? {}), flat(props.mine)]
  return props.conflicts
    .map(field => ({ field: props.words[field] ?? field, theirs: shown(field, theirs[field]), mine: shown(field, mine[field]) }))
    .filter(row => row.theirs !== row.mine)
})
</script>

<template>
  <section role="alert" aria-label="Two versions" class="grid gap-2 border-l-4 border-care bg-care-wash p-3">
    <p>
      <strong>{{ stale.changedBy }}</strong> changed this at {{ times.moment(stale.changedAt ?? '') }}, while you were working on it. Nothing of yours is lost,
      and whatever else they changed is taken in.
    </p>
    <table class="w-full text-left">
      <thead>
        <tr>
          <th class="pr-3">What</th>
          <th class="pr-3">Theirs</th>
          <th>Yours</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in differing" :key="row.field" class="align-top">
          <th class="pr-3 font-normal">{{ row.field }}</th>
          <td class="pr-3">{{ row.theirs }}</td>
          <td>{{ row.mine }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="!differing.length">You both wrote the same.</p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button button-main" @click="$emit('keepMine')">Keep mine</button>
      <button type="button" class="button" @click="$emit('takeTheirs')">Use theirs</button>
    </div>
  </section>
</template>
