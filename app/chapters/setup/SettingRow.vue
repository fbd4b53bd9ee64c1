<script setup lang="ts">
import { isTurned, settingKinds } from '#core/identify/settings/settings'
import { photographUrl } from '#shared/chapters/look/index'
import type { ViewOf } from '#shared/chapters/index'

/** One setting: how it was found, how it stands, changed with a reason, and put back. */
const props = defineProps<{ one: ViewOf<'setup'>['setup']['settings'][number]; tag: string }>()
const session = useSession()
type Act = 'change' | 'back' | 'describe' | 'drop'
const act = ref<Act>()
const row = useTemplateRef<HTMLElement>('row')
const fixed = computed(() => ({ settingId: props.one.id, version: props.one.version }))
const name = computed(() => `${props.one.assembly} ${props.one.name}`)
const acts = computed(() =>
  (
    [
      ['change', 'change-setting', 'Changed'],
      ...(props.one.now === null
        ? ([
            ['describe', 'describe-setting', 'Describe'],
            ['drop', 'drop-setting', 'Leave out'],
          ] as const)
        : ([['back', 'put-back-setting', 'Put back']] as const)),
    ] as const
  ).filter(([, command]) => session.may(command)),
)
/** Whoever works by keys stays on the row when its form goes. */
function done() {
  act.value = undefined
  void nextTick(() => row.value?.focus({ preventScroll: true }))
}
const words = { kind: 'What it is', before: 'How it stood', beforeReading: 'What was read at it', now: 'How it stands now', turns: 'Turns' }
const kinds = Object.entries(settingKinds).map(([value, label]) => ({ value, label }))
</script>

<template>
  <li ref="row" tabindex="-1" class="grid gap-1 py-2" :aria-label="name">
    <p class="flex flex-wrap items-baseline gap-x-3">
      <span class="figure font-semibold">{{ one.name }}</span><span class="hint">{{ settingKinds[one.kind] }}</span>
      <span
        >{{ one.before || 'as its photograph shows' }}<template v-if="one.beforeReading">, it read {{ one.beforeReading }}</template></span
      >
    </p>
    <p v-if="one.now !== null" class="flex flex-wrap items-baseline gap-x-3">
      <LevelSign level="care" /><span
        >Now <strong>{{ one.now }}</strong><template v-if="one.nowReading">, it reads {{ one.nowReading }}</template
        >: {{ one.why }}</span
      >
      <span class="hint">The way {{ one.back }}.</span>
    </p>
    <img v-if="one.photograph" :src="photographUrl(one.photograph, 'thumb')" alt="How it stood" loading="lazy" class="h-24 border border-line object-cover" />
    <p class="flex flex-wrap gap-1">
      <button
        v-for="[to, , says] in acts"
        :key="to"
        type="button"
        class="button button-quiet"
        :aria-expanded="act === to"
        @click="act = act === to ? undefined : to"
      >
        {{ act === to ? 'Close' : says }}<span class="sr-only"> {{ name }}</span>
      </button>
    </p>
    <CommandForm
      v-if="act === 'change'"
      command="change-setting"
      :machine="tag"
      :initial="{ to: '', turns: '' as never, reading: '', why: '' }"
      :fixed="fixed"
      :words="words"
      :label="`${name} is changed`"
      submit="It is changed"
      @done="done"
    >
      <p v-if="isTurned(one.kind)" class="hint">Count the turns, and read what it sets before and after: where it stood is not found again by eye.</p>
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField name="to" label="How it stands now" />
        <TextField v-if="isTurned(one.kind)" name="turns" label="Turns clockwise" numeric hint="−0.5 for half a turn the other way" />
        <TextField name="reading" label="What is read at it now" hint="Such as 5.02 V at pin 16" />
        <TextField name="why" label="Why" />
      </div>
    </CommandForm>
    <CommandForm
      v-if="act === 'back'"
      command="put-back-setting"
      :machine="tag"
      :initial="{ reading: '' }"
      :fixed="fixed"
      :words="words"
      :label="`${name} is put back`"
      submit="It is back"
      @done="done"
    >
      <p>The way {{ one.back }}.</p>
      <TextField name="reading" label="What is read at it now" />
    </CommandForm>
    <CommandForm
      v-if="act === 'describe'"
      command="describe-setting"
      :machine="tag"
      :initial="{ kind: one.kind, before: one.before, beforeReading: one.beforeReading }"
      :fixed="fixed"
      :words="words"
      :label="`${name} as it was found`"
      submit="Save"
      keeps
      @done="done"
    >
      <PickField name="kind" label="What it is" :options="kinds" />
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField name="before" label="How it stood" /><TextField name="beforeReading" label="What was read at it" />
      </div>
    </CommandForm>
    <CommandForm
      v-if="act === 'drop'"
      command="drop-setting"
      :machine="tag"
      :initial="{ reason: '' }"
      :fixed="fixed"
      :label="`Leave ${name} out`"
      submit="Leave it out"
      @done="done"
      ><TextField name="reason" label="Why"
    /></CommandForm>
  </li>
</template>
