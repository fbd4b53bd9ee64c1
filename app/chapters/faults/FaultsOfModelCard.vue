<script setup lang="ts">
import { symptomGroups, symptomNames } from '#core/diagnosis/symptoms'
import type { FaultsOfModel } from '#shared/chapters/faults/index'

/** Faults of a model over the collection: found again by words, with what they turned out to be. */
const props = defineProps<{ modelId: number }>()
const { found, trouble } = useCollection<FaultsOfModel>(
  () => ['faults', props.modelId],
  () => `/api/models/${props.modelId}/faults`,
)
const session = useSession()
const asked = ref('')
const group = ref('')
const groups = [{ value: '', label: 'Every kind' }, ...Object.entries(symptomGroups).map(([value, g]) => ({ value, label: g.name }))]
const shown = computed(() => {
  const words = asked.value.trim().toLowerCase()
  const among = group.value ? Object.keys(symptomGroups[group.value as keyof typeof symptomGroups].words) : null
  return (found.value?.faults ?? []).filter(
    f => (!among || f.symptoms.some(s => among.includes(s))) && (!words || [f.symptom, f.cause, f.did].join(' ').toLowerCase().includes(words)),
  )
})
const id = useId()
</script>

<template>
  <OneCard title="Faults of this model" hint="Across all machines of the collection; a cause found on one is suggested for the others.">
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <template v-else-if="found?.faults.length">
      <ul v-if="found.causes.length" aria-label="What it was">
        <li v-for="one in found.causes" :key="one.cause">
          <strong>{{ one.cause }}</strong> <span class="figure">{{ one.right }} of {{ one.of }}</span> <span class="hint">{{ one.machines.join(', ') }}</span>
        </li>
      </ul>
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldFrame :id="id" label="Words"><input :id="id" v-model="asked" class="entry" autocomplete="off" /></FieldFrame>
        <SelectField v-model="group" label="Kind" :options="groups" />
      </div>
      <ul class="grid divide-y divide-line border-y border-line">
        <li v-for="one in shown.slice(0, 50)" :key="one.id" class="flex flex-wrap items-baseline gap-x-3 py-1">
          <NuxtLink :to="`/m/${one.tag}?stage=mend`">{{ one.name }}</NuxtLink><span class="font-semibold">{{ one.symptom }}</span
          ><span class="hint">{{ one.symptoms.map(s => symptomNames[s] ?? s).join(', ') }}</span>
          <span>{{ one.open ? (one.leftAs === 'known' ? 'stays, known' : 'open') : one.cause ? `it was: ${one.cause}` : one.did || 'closed' }}</span>
          <span v-if="one.minutes" class="hint">{{ one.minutes }} min</span>
        </li>
      </ul>
      <p v-if="!shown.length" class="hint">Nothing of that kind.</p>
    </template>
    <EmptyPlace v-else-if="found" says="No fault of this model has been reported. What is found on one machine will appear here for the others." />
    <section v-if="found" class="grid gap-2" aria-label="Error and beep codes">
      <h3>Error and beep codes</h3>
      <ul v-if="found.codes.length" class="grid divide-y divide-line border-y border-line">
        <li v-for="one in found.codes" :key="one.code" class="flex flex-wrap items-baseline gap-x-3 py-1">
          <span class="figure font-semibold">{{ one.code }}</span><span>{{ one.says }}</span>
          <span v-if="one.turnedOut.length" class="hint">turned out to be: {{ one.turnedOut.map(t => `${t.cause} (${t.tag})`).join('; ') }}</span>
        </li>
      </ul>
      <p v-else class="hint">None yet. A code written into a symptom is found again, with what it turned out to be.</p>
      <AddPanel v-if="session.may('note-code')" v-slot="{ close }" label="Note a code">
        <CommandForm command="note-code" :initial="{ code: '', says: '' }" :fixed="{ modelId }" label="Note a code" submit="Save code" @done="close()"
          ><div class="grid gap-3 sm:grid-cols-2">
            <TextField name="code" label="Code" hint="As it is shown or heard, such as E-04 or 2 short" /><TextField name="says" label="What it means" /></div
        ></CommandForm>
      </AddPanel>
    </section>
  </OneCard>
</template>
