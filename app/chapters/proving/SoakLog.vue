<script setup lang="ts">
import { type LogLine, type LogWords, type SoakLog, readSoakLog } from '#core/retest/soak-log'

/** The log of a test program, read in; or a secret under which the program posts its lines itself. */
const props = defineProps<{ tag: string; soakId: number; logged: boolean; words: LogWords | null }>()
const session = useSession()
const text = ref('')
const name = ref('')
const trouble = ref('')
const { submitCommand: tally, busy, failure } = useCommand('tally-soak', () => props.tag)
const { submitCommand: openLog, busy: opening, failure: notOpened } = useCommand('open-soak-log', () => props.tag)
const { submitCommand: unsay, busy: unsaying, failure: notUnsaid } = useCommand('say-soak-log', () => props.tag)
const secret = ref('')
const saying = ref(false)
const largest = 4_000_000
const log = computed<SoakLog | undefined>(() => (text.value ? readSoakLog(text.value, props.words) : undefined))
const noPass = computed(() => (log.value && !log.value.passes ? 'No line of it tells of a pass. Say below what a pass has in it.' : ''))
async function read(file: File | undefined) {
  text.value = trouble.value = ''
  if (!file) return
  if (file.size > largest) trouble.value = 'Larger than 4 MB. Send its last part.'
  else [name.value, text.value] = [file.name, await file.text()]
}
async function add() {
  await tally({ soakId: props.soakId, passes: log.value!.passes, failures: log.value!.failures })
  if (!failure.value) text.value = ''
}
async function show() {
  const { result } = await openLog({ soakId: props.soakId })
  secret.value = (result as { secret: string } | undefined)?.secret ?? ''
}
const told = ({ line, text: says }: LogLine) => `line ${line}, “${says}”`
const id = useId()
const origin = computed(() => (import.meta.client ? window.location.origin : ''))
</script>

<template>
  <div class="grid gap-3">
    <FieldFrame :id="id" v-slot="{ described }" label="The log of a test program" hint="A pass a line" :message="trouble || failure || noPass"
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
      <p v-if="log.taken.pass">Taken for a pass: {{ told(log.taken.pass) }}.</p>
      <p v-if="log.taken.fail">Taken for a failure: {{ told(log.taken.fail) }}.</p>
      <p v-if="log.stopped" role="alert" class="text-care">
        Read as far as {{ told(log.stopped) }}: nobody can tell whether that is a pass. What comes after it is not counted.
      </p>
      <p v-if="log.unread.length" class="hint">
        Not counted, for they tell of no pass: {{ log.unread.slice(0, 3).map(told).join('; ') }}{{ log.unread.length > 3 ? ' and more' : '' }}.
      </p>
      <p><button type="button" class="button" :disabled="busy" @click="add">Add these to the soak</button></p>
    </div>
    <div v-if="session.may('say-soak-log')" class="flex flex-wrap items-center gap-x-3">
      <span class="hint">{{
        words ? `A line with “${words.pass}” is a pass${words.fail && `, one with “${words.fail}” a failure`}.` : 'Its lines are read by the usual words.'
      }}</span>
      <button type="button" class="button button-quiet" :aria-expanded="saying" @click="saying = !saying">Say how to read them</button>
      <button v-if="words" type="button" class="button button-quiet" :disabled="unsaying" @click="unsay({ soakId, words: null })">
        Use the usual words again
      </button>
    </div>
    <CommandForm
      v-if="saying"
      command="say-soak-log"
      :machine="tag"
      :initial="{ words: words ?? { pass: '', fail: '' } }"
      :fixed="{ soakId }"
      label="How its lines are read"
      submit="Save how to read it"
      class="border border-line p-3"
      @done="saying = false"
    >
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField name="words.pass" label="A pass has in it" hint="A word or two of the line, such as 0 errors" />
        <TextField name="words.fail" label="A failure has in it" hint="Left empty, a line that is no pass stops the reading" />
      </div>
    </CommandForm>
    <p class="flex flex-wrap items-center gap-3">
      <button type="button" class="button button-quiet" :disabled="opening" @click="show">{{ logged ? 'Make a new secret' : 'Let a program post' }}</button>
      <span v-if="logged && !secret" class="hint">A program may post to it; a new secret ends the one before.</span>
    </p>
    <p v-if="notOpened || notUnsaid" role="alert" class="text-stop">{{ notOpened || notUnsaid }}</p>
    <div v-if="secret" class="grid gap-1 border border-line p-3" role="status">
      <p>Shown once. Each line it posts is a pass:</p>
      <code class="figure text-sm break-all"
        >curl {{ origin }}/api/soaks/log -H 'content-type: text/plain' -H 'authorization: Bearer {{ secret }}' --data-binary 'pass 1: 0 errors'</code
      >
    </div>
  </div>
</template>
