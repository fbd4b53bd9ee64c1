<script setup lang="ts" generic="N extends CommandName">
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { useForm } from 'vee-validate'
import type { CommandName, CommandRequest } from '#shared/chapters/index'

/**
 * A form for one command. It checks by the command's own contract while typing, sends, shows refusals at their fields,
 * and offers both versions when somebody else was quicker. Nothing typed is lost on any of these ways.
 */
const props = defineProps<{
  command: N
  /** Tag of the machine, for commands on one. */
  machine?: string
  initial: Partial<CommandRequest<N>>
  /** Keys and versions that nobody types. */
  fixed?: Partial<CommandRequest<N>>
  label: string
  submit: string
  /** Keep what was typed after sending, where it describes a row rather than adding one. */
  keeps?: boolean
  /** Words for fields, for the comparison of two versions. */
  words?: Record<string, string>
  /** What a value is called on screen, for the same comparison. */
  show?: (field: string, value: unknown) => string | undefined
}>()
const emit = defineEmits<{ done: [result: unknown, typed: Record<string, unknown>] }>()
const times = useTimes()

const { submitCommand, busy, saved, waits, failure, because, question, stale, unanswered } = useCommand(
  () => props.command,
  () => props.machine,
)
const drafts = useDrafts()
const route = useRoute()
const panel = inject(panelKey, '')
const { contract, contractFetched } = useContract(() => props.command)
provide(neededKey, field => contract.value !== undefined && needs(contract.value, field))
const copyOf = (what: object) => JSON.parse(JSON.stringify(what)) as Record<string, unknown>
const givenVersion = () => (props.fixed && 'version' in props.fixed ? (props.fixed.version as number) : undefined)

/** What a form is about, but not its version, tells it from its like. */
const keptApart = computed(() => {
  const { version: _, ...about } = (props.fixed ?? {}) as Record<string, unknown>
  const keys = Object.entries(about).filter(([, value]) => ['number', 'string'].includes(typeof value))
  return [props.machine ?? '', props.command, props.label, ...keys.flat()].join('/')
})
const mayKeep = !neverKept.includes(props.command)
const draft = mayKeep ? drafts.read(keptApart.value) : undefined
unanswered.value = draft?.unanswered

/** What the row said when typing began, and the version it had then; not one that arrived since. */
const start = ref(copyOf(draft?.start ?? props.initial))
const version = ref(draft ? draft.version : givenVersion())
/** What the server asks once more before it keeps it, and whether that was answered with yes. */
const asks = ref('')
const sure = ref(false)
/** What was found is asked for where putting something right takes a danger back. */
const asksFound = ref(false)
const whole = (values: object) => ({
  ...values,
  ...props.fixed,
  ...(version.value === undefined ? {} : { version: version.value }),
  ...(sure.value ? { sure: true } : {}),
})

const { handleSubmit, setErrors, resetForm, values } = useForm({
  initialValues: copyOf(draft?.values ?? props.initial),
  validationSchema: zodForForms(contractFetched, whole),
})

/** Puts exactly this into the form; what it does not hold is emptied. */
const putIn = (content: Record<string, unknown>) => resetForm({ values: copyOf(content) }, { force: true })

// A row that changed elsewhere is shown as it is now, unless somebody is in the middle of changing it here.
const touched = computed(() => JSON.stringify(values) !== JSON.stringify(start.value))

/** Just sent, so that nothing of it is a draft; and gone, with its fields and their values. */
let sent = false
let gone = false
/** What is typed and not sent lies in the browser, whatever becomes of the page; what was sent or thrown away does not. */
const restored = ref(draft?.at)
function keepDraft() {
  if (!mayKeep || sent || gone) return
  if (!touched.value) return drafts.drop(keptApart.value)
  drafts.write(keptApart.value, {
    label: props.label,
    path: route.fullPath,
    panel,
    values: copyOf(values),
    start: start.value,
    ...(version.value === undefined ? {} : { version: version.value }),
    ...(unanswered.value ? { unanswered: unanswered.value } : {}),
  })
}
const keepSoon = useDebounceFn(keepDraft, 250)
watch(
  () => JSON.stringify(values),
  () => void keepSoon(),
)
useEventListener(window, 'pagehide', keepDraft)
// The fields take their values with them when they go; what was typed is kept before.
onBeforeUnmount(() => {
  keepDraft()
  gone = true
})
function throwAway() {
  restored.value = undefined
  start.value = copyOf(props.initial)
  version.value = givenVersion()
  putIn(start.value)
  drafts.drop(keptApart.value)
}
watch(
  () => [props.initial, props.fixed] as const,
  ([initial]) => {
    if (touched.value || stale.value) return
    start.value = copyOf(initial)
    if (props.keeps) version.value = givenVersion()
    putIn(start.value)
  },
)

const send = handleSubmit(
  async () => {
    const { result, fields, waits: putOff } = await submitMerged()
    asks.value = fields?.sure ?? ''
    if (asks.value) failure.value = ''
    if (fields) {
      asksFound.value ||= 'found' in fields && !('found' in props.initial)
      return setErrors(fields)
    }
    if (result === undefined && !putOff) return
    restored.value = undefined
    const typed = copyOf(values)
    if (props.keeps) {
      start.value = typed
      if (version.value !== undefined) version.value++
    } else {
      // What is offered next hangs on what was just kept.
      await nextTick()
      start.value = copyOf(props.initial)
      putIn(props.initial)
    }
    drafts.drop(keptApart.value)
    // Whoever hears of it may take this form away at once.
    sent = true
    if (!putOff) emit('done', result, typed)
    void nextTick(() => (sent = false))
  },
  ({ errors }) => {
    // What nobody typed in a field has no field to show its message at.
    const unseen = Object.entries(errors).find(([path]) => !path || path in (props.fixed ?? {}))?.[1]
    failure.value = unseen ?? 'Some fields need another look; their messages say why.'
    void nextTick(() => form.value?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus())
  },
)
const form = useTemplateRef<HTMLFormElement>('form')

/** Mine and what was kept meanwhile, field by field; while nothing was kept meanwhile, nothing to merge. */
const both = computed(() => {
  if (!stale.value?.current) return null
  const { version: newest, ...now } = stale.value.current
  return { ...merged(start.value, copyOf(values), now), now, newest: newest as number }
})

/** Where somebody else was quicker with other fields, theirs are taken in and mine are sent again; only a true conflict is asked about. */
async function submitMerged(): Promise<Awaited<ReturnType<typeof submitCommand>>> {
  for (let tries = 0; ; tries++) {
    const answer = await submitCommand(whole(values) as CommandRequest<N>)
    if (!both.value || both.value.conflicts.length || tries >= 3) return answer
    take(both.value.mine)
  }
}

/** Takes what was kept meanwhile for the start, and puts this into the form. */
function take(content: Record<string, unknown>) {
  const { now, newest } = both.value!
  start.value = copyOf({ ...start.value, ...Object.fromEntries(Object.entries(now).filter(([field]) => field in values)) })
  putIn(content)
  version.value = newest
  stale.value = undefined
}

/** What was asked about is meant as it was typed. */
function mean() {
  sure.value = true
  void send().finally(() => (sure.value = false))
}
watch(
  () => JSON.stringify(values),
  () => (asks.value = ''),
)

function keepMine() {
  take(both.value!.mine)
  void send()
}
const takeTheirs = () => take(both.value!.theirs)
</script>

<template>
  <form ref="form" :aria-label="label" novalidate class="grid content-start gap-3" @submit.prevent="send">
    <p v-if="restored" role="status" class="flex flex-wrap items-baseline gap-x-3 border-l-4 border-note bg-note-wash px-3 py-1">
      <span><strong>Unsent draft</strong>, {{ times.moment(restored) }}.</span>
      <button type="button" class="underline" @click="throwAway">Discard</button>
    </p>
    <slot :values="values" />
    <TextField v-if="asksFound" name="found" label="What was found" hint="It takes a danger back: what was seen or measured?" />
    <div v-if="asks" role="alert" class="grid gap-2 border-l-4 border-care bg-care-wash px-3 py-2">
      <p>{{ asks }}</p>
      <p><button type="button" class="button" :disabled="busy" @click="mean">Yes, save it as it is</button></p>
    </div>
    <TwoVersions
      v-if="stale"
      :stale="stale"
      :mine="values"
      :conflicts="both?.conflicts ?? []"
      :words="words ?? {}"
      :show="show"
      @keep-mine="keepMine"
      @take-theirs="takeTheirs"
    />
    <p v-if="waits" role="status" class="border-l-4 border-care bg-care-wash px-3 py-1">{{ failure }}</p>
    <div v-else-if="failure" role="alert" class="border-l-4 border-stop bg-stop-wash px-3 py-2">
      <p>{{ failure }}</p>
      <ul v-if="because.length" class="ml-5 list-disc">
        <li v-for="reason in because" :key="reason">{{ reason }}</li>
      </ul>
      <p v-if="question && machine"><NuxtLink :to="{ path: `/m/${machine}`, query: { stage: 'arrive', ask: question } }">Write to its owner</NuxtLink></p>
    </div>
    <div class="flex flex-wrap items-end gap-3">
      <slot name="before" />
      <button class="button button-main" type="submit" :disabled="busy">{{ busy ? 'Saving…' : submit }}</button>
      <slot name="beside" />
      <span role="status" class="hint">{{ saved ? 'Saved' : '' }}</span>
    </div>
  </form>
</template>
