<script setup lang="ts">
import { type TestLine, checkLines, testLineKindNames, testLineKinds, usualLines } from '#core/retest/test-sheet'

/** What machines of a model are tried with. */
const props = defineProps<{ modelId: number; assemblies: string[] }>()
const session = useSession()
const { found } = useCollection<{ lines: TestLine[]; version: number }>(
  () => ['test-lines', props.modelId],
  () => `/api/models/${props.modelId}/test-lines`,
)
const { submitCommand: keep, busy, failure, stale } = useCommand('set-test-lines')
interface Typed {
  says: string
  kind: TestLine['kind']
  expect: string
  unit: string
  from: string
  to: string
  hours: string
}
const typed = ref<Typed[]>()
/** The version that was changed; what somebody else saved meanwhile is not written over. */
const from = ref(0)
const asText = (n: number | null) => (n === null ? '' : String(n))
const begin = () => {
  const lines = found.value?.lines.length ? found.value.lines : usualLines(props.assemblies.map(name => ({ name, role: null })))
  from.value = found.value?.version ?? 0
  typed.value = lines.map(l => ({ ...l, from: asText(l.from), to: asText(l.to), hours: asText(l.hours) }))
}
const add = () => typed.value!.push({ says: '', kind: 'works', expect: '', unit: '', from: '', to: '', hours: '' })
async function keepAll() {
  await keep({ modelId: props.modelId, version: from.value, lines: typed.value! as never })
  if (!failure.value && !stale.value) typed.value = undefined
}
const kinds = testLineKinds.map(value => ({ value, label: testLineKindNames[value] }))
const said = (l: TestLine) =>
  [
    l.expect,
    l.kind === 'figure' && [l.from !== null && `from ${l.from}`, l.to !== null && `up to ${l.to}`, l.unit].filter(Boolean).join(' '),
    l.hours !== null && `${l.hours} h alone`,
  ]
    .filter(Boolean)
    .join('; ')
/** What cannot be judged yet, before it is sent. */
const trouble = computed(() => {
  if (!typed.value) return ''
  try {
    const number = (t: string) => (t.trim() ? Number(t.replace(',', '.')) : null)
    checkLines(typed.value.map(l => ({ ...l, from: number(l.from), to: number(l.to), hours: number(l.hours) })))
    return ''
  } catch (error) {
    return (error as Error).message
  }
})
</script>

<template>
  <OneCard v-if="found" title="Test sheet" hint="What each machine of this model is tried with before it is signed off.">
    <template v-if="!typed">
      <ul v-if="found.lines.length" class="grid divide-y divide-line border-y border-line">
        <li v-for="line in found.lines" :key="line.says" class="flex flex-wrap gap-x-3 py-1">
          <strong>{{ line.says }}</strong><span class="hint">{{ said(line) }}</span>
        </li>
      </ul>
      <p v-else class="hint">No lines of its own: its machines are tried with the usual ones for what they have.</p>
      <p v-if="session.may('set-test-lines')"><button type="button" class="button button-quiet" @click="begin">Change the lines</button></p>
    </template>
    <form v-else class="grid gap-3" aria-label="Lines of the test sheet" @submit.prevent="keepAll">
      <div v-for="(line, i) in typed" :key="i" class="grid gap-2 border border-line p-2 sm:grid-cols-[1fr_1fr_auto]" role="group" :aria-label="`Line ${i + 1}`">
        <input v-model="line.says" class="entry" maxlength="80" :aria-label="`Line ${i + 1}: what is tried`" placeholder="What is tried" />
        <input v-model="line.expect" class="entry" maxlength="200" :aria-label="`Line ${i + 1}: what passes`" placeholder="What passes" />
        <button type="button" class="button button-quiet" :aria-label="`Delete line ${i + 1}`" @click="typed.splice(i, 1)">Delete</button>
        <select v-model="line.kind" class="entry" :aria-label="`Line ${i + 1}: kind`">
          <option v-for="kind in kinds" :key="kind.value" :value="kind.value">{{ kind.label }}</option>
        </select>
        <div class="flex gap-2">
          <template v-if="line.kind === 'figure'">
            <input v-model="line.from" class="entry figure w-20" inputmode="decimal" :aria-label="`Line ${i + 1}: from`" placeholder="from" />
            <input v-model="line.to" class="entry figure w-20" inputmode="decimal" :aria-label="`Line ${i + 1}: to`" placeholder="to" />
            <input v-model="line.unit" class="entry w-20" maxlength="12" :aria-label="`Line ${i + 1}: unit`" placeholder="unit" />
          </template>
          <input
            v-if="line.kind === 'overnight'"
            v-model="line.hours"
            class="entry figure w-24"
            inputmode="decimal"
            :aria-label="`Line ${i + 1}: hours`"
            placeholder="hours"
          />
        </div>
      </div>
      <p v-if="failure || trouble" role="alert" class="text-stop">{{ failure || trouble }}</p>
      <p v-else-if="stale" role="alert" class="text-stop">
        {{ stale.message }} <button type="button" class="button" @click="from = found.version">Save mine over it</button>
        <button type="button" class="button" @click="begin">Use theirs</button>
      </p>
      <p class="flex flex-wrap gap-2">
        <button type="button" class="button" @click="add">Add a line</button><button class="button button-main" :disabled="busy || !!trouble">Save lines</button
        ><button type="button" class="button button-quiet" @click="typed = undefined">Leave it</button>
      </p>
    </form>
  </OneCard>
</template>
