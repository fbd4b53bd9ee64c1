<script setup lang="ts">
import type { MachineSheet } from '#shared/chapters/index'
import type { SheetHead } from '#shared/kernel/machine'

/** One fault: its words, observations and repairs in the order they were made. */
const props = defineProps<{ sheet: SheetHead; fault: MachineSheet['faults'][number] }>()
const session = useSession()
const times = useTimes()
const doing = ref<'observe' | 'repair' | 'change'>()
const story = computed(() =>
  [
    ...props.fault.observations.map(o => ({ key: `o${o.id}`, at: o.at, word: 'Found', says: o.says })),
    ...props.fault.repairs.map(r => ({ key: `r${r.id}`, at: r.at, word: r.closes ? 'Repair, closed' : 'Repair, still open', says: r.did })),
  ].sort((a, b) => a.at.localeCompare(b.at)),
)
const begin = (what: typeof doing.value) => (doing.value = doing.value === what ? undefined : what)
</script>

<template>
  <article class="grid gap-2 border border-line p-3" :aria-label="fault.symptom">
    <header class="flex flex-wrap items-baseline gap-x-3">
      <h3>{{ fault.symptom }}</h3>
      <span v-if="!fault.open" class="font-semibold text-fine">Closed</span
      ><span v-else-if="fault.stopsMachine" class="font-semibold text-stop">Stops the machine</span
      ><span v-else class="font-semibold text-care">Does not stop it</span>
      <span v-if="fault.firstSeen" class="hint">First seen {{ fault.firstSeen }}</span>
    </header>
    <ol v-if="story.length" class="grid gap-1.5">
      <li v-for="one in story" :key="one.key" class="grid gap-x-3 sm:grid-cols-[13rem_1fr]">
        <span class="hint">{{ times.day(one.at) }}, {{ one.word.toLowerCase() }}</span
        ><span>{{ one.says }}</span>
      </li>
    </ol>
    <p v-else class="hint">Nothing observed yet.</p>
    <div class="flex flex-wrap gap-1">
      <button v-if="session.may('observe-fault')" type="button" class="button button-quiet" :aria-expanded="doing === 'observe'" @click="begin('observe')">
        Add an observation
      </button>
      <button
        v-if="fault.open && session.may('repair-fault')"
        type="button"
        class="button button-quiet"
        :aria-expanded="doing === 'repair'"
        @click="begin('repair')"
      >
        Enter a repair
      </button>
      <button v-if="session.may('change-fault')" type="button" class="button button-quiet" :aria-expanded="doing === 'change'" @click="begin('change')">
        Reword it
      </button>
    </div>
    <CommandForm
      v-if="doing === 'observe'"
      command="observe-fault"
      :machine="sheet.tag"
      :initial="{ says: '' }"
      :fixed="{ faultId: fault.id }"
      label="Add an observation"
      submit="Keep the observation"
      @done="doing = undefined"
      ><TextField name="says" label="What was observed" :lines="2"
    /></CommandForm>
    <CommandForm
      v-if="doing === 'repair'"
      command="repair-fault"
      :machine="sheet.tag"
      :initial="{ did: '', closes: false }"
      :fixed="{ faultId: fault.id }"
      label="Enter a repair"
      submit="Keep the repair"
      @done="doing = undefined"
      ><TextField name="did" label="What was done" :lines="2" /><TickField name="closes" label="It closed the fault"
    /></CommandForm>
    <CommandForm
      v-if="doing === 'change'"
      command="change-fault"
      :machine="sheet.tag"
      :initial="{ symptom: fault.symptom, stopsMachine: fault.stopsMachine }"
      :fixed="{ faultId: fault.id, version: fault.version }"
      :words="{ symptom: 'Symptom', stopsMachine: 'It stops the machine' }"
      label="Reword the fault"
      submit="Keep"
      keeps
      @done="doing = undefined"
      ><TextField name="symptom" label="Symptom" /><TickField name="stopsMachine" label="It stops the machine"
    /></CommandForm>
  </article>
</template>
