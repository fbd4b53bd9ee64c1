<script setup lang="ts">
import { contaminationKinds, contaminationStateNames } from '#core/cleaning/contamination'
import type { SheetOf } from '#shared/chapters/index'

/** What got in, and its way out again; only looking again opens what it closed. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
const all = computed(() => props.sheet.cleaning.contaminations)
const state = computed(() => (!all.value.length ? 'none' : all.value.some(c => c.next) ? 'open' : 'done'))
const result = computed(
  () =>
    all.value.map(c => `${contaminationKinds[c.kind].title}, ${c.where}: ${contaminationStateNames[c.state].toLowerCase()}`).join('; ') || 'Nothing on record',
)
const wayOf = (kind: keyof typeof contaminationKinds) => ['present', ...contaminationKinds[kind].way] as const
</script>

<template>
  <OneCard
    title="What got in"
    hint="Liquid, conductive dirt, electrolyte of capacitors. What a battery left goes home with its battery, under Make safe."
    :state="state"
    :result="result"
  >
    <ul v-if="all.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in all" :key="one.id" class="grid gap-2 py-2">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h3>{{ contaminationKinds[one.kind].title }}, {{ one.where }}</h3>
          <span class="hint">{{ one.says }}{{ one.says && '; ' }}{{ times.day(one.at) }}</span>
        </div>
        <ol class="flex flex-wrap gap-y-1 text-sm" :aria-label="`How far ${contaminationKinds[one.kind].title.toLowerCase()}, ${one.where}, has gone`">
          <li
            v-for="(step, i) in wayOf(one.kind)"
            :key="step"
            class="-ml-px border border-edge px-2 py-0.5 first:ml-0"
            :class="i <= wayOf(one.kind).findIndex(s => s === one.state) ? 'bg-verdigris/35' : 'text-ink-2'"
            :aria-current="step === one.state ? 'step' : undefined"
          >
            {{ contaminationStateNames[step] }}
          </li>
        </ol>
        <CommandForm
          v-if="one.next && session.may('step-contamination')"
          command="step-contamination"
          :machine="sheet.tag"
          :initial="{ lookedAt: [], waitHours: one.next.step === 'rinsed' || one.next.step === 'washed' ? '12' : '' }"
          :fixed="{ contaminationId: one.id, version: one.version, step: one.next.step }"
          label="Next step"
          :submit="contaminationStateNames[one.next.step]"
          class="border-l-4 border-care bg-care-wash p-3"
        >
          <p><strong>Next:</strong> {{ one.next.do }}</p>
          <CautionNote :about="one.kind === 'dirt' ? 'dust-mould' : one.kind === 'liquid' ? 'wet' : 'solvents'" />
          <p v-if="sheet.cleaning.wet.length && (one.next.step === 'dried' || one.next.step === 'gone')" class="text-stop">
            Not yet: {{ sheet.cleaning.wet.join('; ') }}.
          </p>
          <TicksField v-if="one.next.step === 'gone'" name="lookedAt" label="Looked at" :options="one.looks.map(says => ({ value: says, label: says }))" />
          <TextField
            v-if="one.next.step === 'rinsed' || one.next.step === 'washed'"
            name="waitHours"
            label="Then it dries for, hours"
            numeric
            hint="The wait starts at once, and the machine stays off until it is over. Leave empty for no wait."
            class="max-w-60"
          />
        </CommandForm>
      </li>
    </ul>
    <AddPanel v-if="session.may('find-contamination')" v-slot="{ close }" label="Something got in" :open="!all.length">
      <CommandForm
        command="find-contamination"
        :machine="sheet.tag"
        :initial="{ kind: undefined, where: '', says: '' }"
        label="Something got in"
        submit="Save"
        @done="close()"
        ><ChoiceField name="kind" label="What" :options="titlesOf(contaminationKinds)" />
        <div class="grid gap-3 sm:grid-cols-2"><TextField name="where" label="Where" /><TextField name="says" label="What was seen" /></div
      ></CommandForm>
    </AddPanel>
  </OneCard>
</template>
