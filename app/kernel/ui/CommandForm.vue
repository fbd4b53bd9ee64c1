<script setup lang="ts" generic="N extends CommandName">
import { useForm } from 'vee-validate'
import { type CommandName, type CommandRequest, commands } from '#shared/chapters/index'

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
const emit = defineEmits<{ done: [result: unknown] }>()

const { submitCommand, busy, saved, failure, because, stale } = useCommand(
  () => props.command,
  () => props.machine,
)
const copyOf = (what: object) => JSON.parse(JSON.stringify(what)) as Record<string, unknown>
const givenVersion = () => (props.fixed && 'version' in props.fixed ? (props.fixed.version as number) : undefined)

/** What the row said when typing began, and the version it had then; not one that arrived since. */
const start = ref(copyOf(props.initial))
const version = ref(givenVersion())
const whole = (values: object) => ({ ...values, ...props.fixed, ...(version.value === undefined ? {} : { version: version.value }) })

const { handleSubmit, setErrors, resetForm, values } = useForm({
  initialValues: copyOf(props.initial),
  validationSchema: zodForForms(() => commands[props.command], whole),
})

/** Puts exactly this into the form; what it does not hold is emptied. */
const putIn = (content: Record<string, unknown>) => resetForm({ values: copyOf(content) }, { force: true })

// A row that changed elsewhere is shown as it is now, unless somebody is in the middle of changing it here.
const touched = computed(() => JSON.stringify(values) !== JSON.stringify(start.value))
watch(
  () => [props.initial, props.fixed] as const,
  ([initial]) => {
    if (!props.keeps || touched.value || stale.value) return
    start.value = copyOf(initial)
    version.value = givenVersion()
    putIn(start.value)
  },
)

const send = handleSubmit(
  async () => {
    const { result, fields } = await submitCommand(whole(values) as CommandRequest<N>)
    if (fields) return setErrors(fields)
    if (result === undefined) return
    if (props.keeps) {
      start.value = copyOf(values)
      if (version.value !== undefined) version.value++
    } else {
      putIn(props.initial)
    }
    emit('done', result)
  },
  ({ errors }) => {
    // What nobody typed in a field has no field to show its message at.
    const unseen = Object.entries(errors).find(([path]) => !path || path in (props.fixed ?? {}))?.[1]
    failure.value = unseen ?? 'Some fields need another look; their messages say why.'
    void nextTick(() => form.value?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus())
  },
)
const form = useTemplateRef<HTMLFormElement>('form')

function keepMine() {
  version.value = stale.value?.current?.version as number
  stale.value = undefined
  void send()
}

function takeTheirs() {
  const { version: newest, ...theirs } = stale.value?.current ?? {}
  start.value = copyOf({ ...values, ...Object.fromEntries(Object.entries(theirs).filter(([field]) => field in values)) })
  putIn(start.value)
  version.value = newest as number
  stale.value = undefined
}
</script>

<template>
  <form ref="form" :aria-label="label" novalidate class="grid content-start gap-3" @submit.prevent="send">
    <slot :values="values" />
    <TwoVersions v-if="stale" :stale="stale" :mine="values" :words="words ?? {}" :show="show" @keep-mine="keepMine" @take-theirs="takeTheirs" />
    <div v-if="failure" role="alert" class="border-l-4 border-stop bg-stop-wash px-3 py-2">
      <p>{{ failure }}</p>
      <ul v-if="because.length" class="ml-5 list-disc">
        <li v-for="reason in because" :key="reason">{{ reason }}</li>
      </ul>
    </div>
    <div class="flex flex-wrap items-center gap-3">
      <button class="button button-main" type="submit" :disabled="busy">{{ busy ? 'Saving…' : submit }}</button>
      <slot name="beside" />
      <span role="status" class="hint">{{ saved ? 'Kept.' : '' }}</span>
    </div>
  </form>
</template>
