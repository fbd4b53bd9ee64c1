<script setup lang="ts">
import type { MachineSheet } from '#shared/chapters/index'

/** What people think it is: why, and what would refute it. What tests refute is struck, and stays to be read. */
defineProps<{ tag: string; fault: MachineSheet['faults'][number]; brokenFunctions: MachineSheet['brokenFunctions'] }>()
const session = useSession()
const times = useTimes()
const judging = ref<number>()
const words = { held: 'Held', struck: 'Refuted', confirmed: 'Confirmed' } as const
const inks = { held: 'text-note', struck: 'text-ink-2', confirmed: 'text-fine' } as const
const options = [
  { value: 'struck' as const, label: 'It is refuted' },
  { value: 'confirmed' as const, label: 'It is confirmed' },
  { value: 'held' as const, label: 'Reopened' },
]
const offered = ref<{ net: string; does: string }>()
</script>

<template>
  <section class="grid gap-2" :aria-label="`Theories of ${fault.symptom}`">
    <ul v-if="fault.theories.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="theory in fault.theories" :key="theory.id" class="grid gap-0.5 py-1.5">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span :class="theory.state === 'struck' ? 'line-through decoration-2' : 'font-semibold'">{{ theory.says }}</span>
          <span class="font-semibold" :class="inks[theory.state]">{{ words[theory.state] }}</span>
          <span v-if="theory.damaged" class="hint">involves known damage</span>
          <span class="hint">{{ theory.by }}, {{ times.day(theory.at) }}</span>
          <button
            v-if="fault.open && session.may('judge-theory')"
            type="button"
            class="button button-quiet ml-auto"
            :aria-expanded="judging === theory.id"
            :aria-label="`Judge it: ${theory.says}`"
            @click="judging = judging === theory.id ? undefined : theory.id"
          >
            Judge it
          </button>
        </p>
        <p class="text-[0.9375rem]">
          {{ theory.why }} <span class="hint">Would be refuted by: {{ theory.wouldRefute }}</span>
        </p>
        <p v-if="theory.stateWhy" class="text-[0.9375rem]">{{ words[theory.state] }}: {{ theory.stateWhy }}</p>
        <CommandForm
          v-if="judging === theory.id"
          command="judge-theory"
          :machine="tag"
          :initial="{ state: 'struck', why: '', trusted: false }"
          :fixed="{ theoryId: theory.id }"
          :label="`Judge ${theory.says}`"
          submit="Save judgement"
          @done="judging = undefined"
          ><div class="grid gap-3 sm:grid-cols-2">
            <PickField name="state" label="Status" :options="options" /><TextField name="why" label="What shows it" />
          </div>
          <TickField name="trusted" label="The equipment used in that test is known to be good"
        /></CommandForm>
      </li>
    </ul>
    <AddPanel v-if="fault.open && session.may('hold-theory')" v-slot="{ close }" label="Add a theory">
      <p v-if="brokenFunctions.length" class="flex flex-wrap items-baseline gap-x-3">
        <span class="hint">Probing found these broken:</span>
        <button v-for="one in brokenFunctions.slice(0, 6)" :key="one.net" type="button" class="button button-quiet" @click="offered = one">
          {{ one.net }}: {{ one.does }}
        </button>
      </p>
      <CommandForm
        :key="offered?.net ?? ''"
        command="hold-theory"
        :machine="tag"
        :initial="
          offered
            ? {
                says: `${offered.does} is broken (${offered.net})`,
                why: 'Probing found the net broken or in doubt.',
                wouldRefute: 'A bridge across it, and the fault is still there',
                damaged: true,
              }
            : { says: '', why: '', wouldRefute: '', damaged: false }
        "
        :fixed="{ faultId: fault.id }"
        label="Add a theory"
        submit="Save theory"
        @done="close()"
        ><div class="grid gap-3 sm:grid-cols-2"><TextField name="says" label="It may be" /><TextField name="why" label="Why" /></div>
        <TextField name="wouldRefute" label="What would refute it" /><TickField name="damaged" label="It involves known damage"
      /></CommandForm>
    </AddPanel>
  </section>
</template>
