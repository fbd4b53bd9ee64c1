<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { type HistoryPart, historyPartNames, historyParts, inRows } from '#shared/kernel/history-parts'
import type { HistoryLine, SheetHead } from '#shared/kernel/machine'

/** The history, newest first; an observation can be struck with a reason, and stays in sight. */
const props = defineProps<{ sheet: SheetHead }>()
const session = useSession()
const times = useTimes()
const shownAtFirst = 6
const all = ref(false)
const striking = ref<HistoryLine>()
const part = ref<HistoryPart>()
const typed = ref('')
const find = refDebounced(typed, 200)
const narrowed = computed(() => part.value !== undefined || find.value.trim() !== '')
const {
  lines: fetched,
  trouble,
  hasMore,
  more,
} = useHistory(
  () => props.sheet.tag,
  () => ({ part: part.value, find: find.value.trim() }),
)
const id = useId()
/** What is looked for stands whole; else what was said many times in a row, as of a probe sheet, is one line until it is unfolded. */
const rows = computed(() => (narrowed.value ? fetched.value.map(line => [line]) : inRows(fetched.value)))
const unfolded = ref(new Set<number>())
const lines = computed(() =>
  (all.value ? rows.value : rows.value.slice(0, shownAtFirst)).flatMap(row => {
    const [newest] = row
    const more = row.length - 1
    if (!more || unfolded.value.has(newest!.id)) return row.map(line => ({ ...line, more: 0, since: '' }))
    return [{ ...newest!, more, since: row.at(-1)!.at }]
  }),
)
</script>

<template>
  <OneCard title="History" beside :result="lines[0]?.says">
    <div class="grid grid-cols-2 gap-2">
      <div>
        <label :for="`${id}-part`" class="sr-only">Show of the history</label
        ><select :id="`${id}-part`" v-model="part" class="entry">
          <option :value="undefined">All of it</option>
          <option v-for="one in historyPartNames" :key="one" :value="one">{{ historyParts[one].title }}</option>
        </select>
      </div>
      <div>
        <label :for="`${id}-find`" class="sr-only">Find in the history</label
        ><input :id="`${id}-find`" v-model="typed" type="search" class="entry" placeholder="Find words" autocomplete="off" />
      </div>
    </div>
    <p v-if="narrowed && !fetched.length" class="hint" role="status">Nothing of that in its history.</p>
    <ol class="grid divide-y divide-line">
      <li v-for="line in lines" :key="line.id" class="grid gap-0.5 py-2 first:pt-0">
        <p :class="line.struck && 'line-through decoration-stop'">{{ line.says }}</p>
        <p v-if="line.struck" class="text-sm">Struck by {{ line.struck.by }}: {{ line.struck.reason }}</p>
        <p class="hint flex flex-wrap gap-x-2">
          <span class="figure">{{ line.seq }}</span><span>{{ times.exact(line.at) }}</span
          ><span>{{ line.by }}</span
          ><button
            v-if="line.strikeable && session.may('strike-entry')"
            type="button"
            class="ml-auto underline"
            :aria-label="`Strike: ${line.says}`"
            @click="striking = striking?.id === line.id ? undefined : line"
          >
            Strike
          </button>
        </p>
        <p v-if="line.more">
          <button type="button" class="button button-quiet wide:min-h-7! wide:py-0!" @click="unfolded.add(line.id)">
            {{ line.more }} more like it, since {{ times.exact(line.since) }}
          </button>
        </p>
        <CommandForm
          v-if="striking?.id === line.id"
          command="strike-entry"
          :machine="sheet.tag"
          :initial="{ reason: '' }"
          :fixed="{ entryId: line.id }"
          label="Strike the entry"
          submit="Strike"
          @done="striking = undefined"
          ><TextField name="reason" label="Why it is struck"
        /></CommandForm>
      </li>
    </ol>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <div v-if="rows.length > shownAtFirst" class="flex flex-wrap gap-2">
      <button v-if="all && hasMore" type="button" class="button button-quiet" @click="more">Show older ones</button>
      <button type="button" class="button button-quiet" @click="all = !all">
        {{ all ? 'Show the newest' : hasMore ? 'Show more' : `Show all ${fetched.length}` }}
      </button>
    </div>
  </OneCard>
</template>
