<script setup lang="ts" generic="N extends CommandName">
import { useForm } from 'vee-validate'
import { type CommandName, type CommandRequest, commands } from '#shared/contracts/commands'

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
}>()
const emit = defineEmits<{ done: [result: unknown] }>()

const { submitCommand, busy, saved, failure, because, stale } = useCommand(() => props.command, () => props.machine)
const copyOf = (what: object) => JSON.parse(JSON.stringify(what)) as Record<string, unknown>
const newerVersion = ref<number>()
const whole = (values: object) => ({ ...values, ...props.fixed, ...(newerVersion.value === undefined ? {} : { version: newerVersion.value }) })

const { handleSubmit, setErrors, resetForm, values, setValues } = useForm({
  initialValues: copyOf(props.initial),
  validationSchema: zodForForms(() => commands[props.command], whole),
})

// A row that changed elsewhere is shown as it is now, unless somebody is in the middle of changing it here.
const touched = computed(() => JSON.stringify(values) !== JSON.stringify(lastInitial.value))
const lastInitial = ref(copyOf(props.initial))
const versionRead = ref(props.fixed && 'version' in props.fixed ? props.fixed.version : undefined)
watch(() => [props.initial, props.fixed] as const, ([initial]) => {
  if (!props.keeps || touched.value || stale.value) return
  lastInitial.value = copyOf(initial)
  versionRead.value = props.fixed && 'version' in props.fixed ? props.fixed.version : undefined
  resetForm({ values: lastInitial.value })
})

const send = handleSubmit(async () => {
  // The version that was on screen when typing began, not one that arrived since.
  const version = newerVersion.value ?? versionRead.value
  const request = { ...values, ...props.fixed, ...(version === undefined ? {} : { version }) }
  const { result, fields } = await submitCommand(request as CommandRequest<N>)
  if (fields) return setErrors(fields)
  if (result === undefined) return
  newerVersion.value = undefined
  if (props.keeps) {
    lastInitial.value = copyOf(values)
    versionRead.value = typeof version === 'number' ? version + 1 : undefined
  }
  else {
    resetForm({ values: copyOf(props.initial) })
  }
  emit('done', result)
}, ({ errors }) => {
  // What nobody typed in a field has no field to show its message at.
  const unseen = Object.entries(errors).find(([path]) => !path || path in (props.fixed ?? {}))?.[1]
  failure.value = unseen ?? 'Some fields need another look; their messages say why.'
  void nextTick(() => form.value?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus())
})
const form = useTemplateRef<HTMLFormElement>('form')

function keepMine() {
  newerVersion.value = stale.value?.current?.version as number
  stale.value = undefined
  void send()
}

function takeTheirs() {
  const { version, ...theirs } = stale.value?.current ?? {}
  const known = Object.fromEntries(Object.entries(theirs).filter(([field]) => field in values))
  setValues(known)
  lastInitial.value = { ...copyOf(values), ...known }
  versionRead.value = version as typeof versionRead.value
  newerVersion.value = undefined
  stale.value = undefined
}
</script>

<template>
  <form ref="form" :aria-label="label" novalidate class="grid content-start gap-3" @submit.prevent="send">
    <slot :values="values" />
    <TwoVersions v-if="stale" :stale="stale" :mine="values" :words="words ?? {}" @keep-mine="keepMine" @take-theirs="takeTheirs" />
    <div v-if="failure" role="alert" class="border-l-4 border-stop bg-stop-wash px-3 py-2">
      <p>{{ failure }}</p>
      <ul v-if="because.length" class="ml-5 list-disc"><li v-for="reason in because" :key="reason">{{ reason }}</li></ul>
    </div>
    <div class="flex flex-wrap items-center gap-3">
      <button class="button button-main" type="submit" :disabled="busy">{{ busy ? 'Saving…' : submit }}</button>
      <slot name="beside" />
      <span role="status" class="hint">{{ saved ? 'Kept.' : '' }}</span>
    </div>
  </form>
</template>
