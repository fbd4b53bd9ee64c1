<script setup lang="ts">
import { breakageOutcomes } from '#shared/chapters/cleaning/index'

/** Something broke: said without blame, and what it needs is asked for in the same press. */
defineProps<{ tag: string }>()
const session = useSession()
const yesNo = [
  { value: false, label: 'It runs without' },
  { value: true, label: 'It does not run without' },
]
</script>

<template>
  <AddPanel v-if="session.may('log-breakage')" v-slot="{ close }" label="Something broke">
    <CommandForm
      command="log-breakage"
      :machine="tag"
      :initial="{ what: '', how: '', becomes: 'part', stops: false }"
      label="Something broke"
      submit="Save"
      @done="close()"
      ><p class="hint">It happens, mostly during reassembly. The passport does not say who it was.</p>
      <div class="grid gap-3 sm:grid-cols-2"><TextField name="what" label="What broke" /><TextField name="how" label="How it happened" /></div>
      <div class="flex flex-wrap gap-x-6 gap-y-2">
        <ChoiceField name="becomes" label="What happens to it now" :options="choicesOf(breakageOutcomes)" /><ChoiceField
          name="stops"
          label="The machine"
          :options="yesNo"
        />
      </div>
    </CommandForm>
  </AddPanel>
</template>
