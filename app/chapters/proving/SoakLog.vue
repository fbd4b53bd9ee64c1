<script setup lang="ts">
import { type SoakLog, readSoakLog } from '#core/retest/soak-log'

/** The log of a test program, read in; or a secret under which the program posts its lines itself. */
const props = defineProps<{ tag: string; soakId: number; logged: boolean }>()
const log = ref<SoakLog>()
const name = ref('')
const trouble = ref('')
const { submitCommand: tally, busy, failure } = useCommand('tally-soak', () => props.tag)
const { submitCommand: openLog, busy: opening, failure: notOpened } = useCommand('open-soak-log', () => props.tag)
const secret = ref('')
const largest = 4_000_000
async function read(file: File | undefined) {
  log.value = undefined
  trouble.value = ''
  if (!file) return
  if (file.size > largest) trouble.value = 'Larger than 4 MB. Send its last part.'
  else {
    name.value = file.name
    log.value = readSoakLog(await file.text())
    if (!log.value.passes) trouble.value = 'No line of it tells of a pass: it has to say passed or failed.'
  }
}
async function add() {
  await tally({ soakId: props.soakId, passes: log.value!.passes, failures: log.value!.failures })
  if (!failure.value) log.value = undefined
}
async function show() {
  const { result } = await openLog({ soakId: props.soakId })
  secret.value = (result as { secret: string } | undefined)?.secret ?? ''
}
const id = useId()
const origin = computed(() => (import.meta.client ? window.location.origin : ''))
</script>

<template>
  <div class="grid gap-3">
    <FieldFrame
      :id="id"
      v-slot="{ described }"
      label="The log of a test program"
      hint="A pass a line, with passed or failed in it"
      :message="trouble || failure"
      ><input
        :id="id"
        type="file"
        accept=".txt,.log,.csv,text/plain"
        class="entry"
        :aria-describedby="described"
        @change="e => read((e.target as HTMLInputElement).files?.[0])"
    /></FieldFrame>
    <div v-if="log?.passes" class="grid gap-1 border-l-4 border-note bg-note-wash px-3 py-2">
      <p>
        <strong>{{ log.passes }} passes, {{ log.failures }} of them failed</strong> in {{ name }}.
      </p>
      <p v-if="log.stopped" role="alert" class="text-care">
        Read as far as line {{ log.stopped.line }}, “{{ log.stopped.text }}”: nobody can tell whether that is a pass. What comes after it is not counted.
      </p>
      <p v-if="log.unread.length" class="hint">
        Not counted, for they tell of no pass:
        {{
          log.unread
            .slice(0, 3)
            .map(u => `line ${u.line}, “${u.text}”`)
            .join('; ')
        }}{{ log.unread.length > 3 ? ' and more' : '' }}.
      </p>
      <p><button type="button" class="button" :disabled="busy" @click="add">Add them to the soak</button></p>
    </div>
    <p class="flex flex-wrap items-center gap-3">
      <button type="button" class="button button-quiet" :disabled="opening" @click="show">{{ logged ? 'Make a new secret' : 'Let a program post' }}</button>
      <span v-if="logged && !secret" class="hint">A program may post to it; a new secret ends the one before.</span>
    </p>
    <p v-if="notOpened" role="alert" class="text-stop">{{ notOpened }}</p>
    <div v-if="secret" class="grid gap-1 border border-line p-3" role="status">
      <p>Shown once. Each line it posts is a pass:</p>
      <code class="figure text-sm break-all"
        >curl {{ origin }}/api/soaks/log -H 'content-type: text/plain' -H 'authorization: Bearer {{ secret }}' --data-binary 'pass 1: 0 errors'</code
      >
    </div>
  </div>
</template>
