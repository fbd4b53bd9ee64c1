<script setup lang="ts">
/** Days in the sun from a table, such as a weather station writes; looked through before they are kept. */
defineProps<{ tag: string; whiteningId: number }>()
const { reading, trouble, read } = useSunFile()
const id = useId()
const hours = computed(() => reading.value?.days.reduce((sum, d) => sum + d.hours, 0) ?? 0)
</script>

<template>
  <AddPanel v-slot="{ close }" label="Days in the sun, from a table">
    <FieldFrame :id="id" label="Table as CSV" hint="Its first line names the columns: date and hours. A day counts as its noon." :message="trouble"
      ><input :id="id" type="file" accept=".csv,text/csv,text/plain" class="entry" @change="e => read((e.target as HTMLInputElement).files?.[0])"
    /></FieldFrame>
    <div v-if="reading" class="grid gap-2 pt-2">
      <p>
        {{ reading.days.length === 1 ? '1 day' : `${reading.days.length} days` }} with sun, <span class="figure">{{ three(hours) }} h</span
        ><template v-if="reading.days.length">, {{ reading.days[0]!.day }} to {{ reading.days.at(-1)!.day }}</template>
      </p>
      <ul v-if="reading.problems.length" class="text-stop" aria-label="Lines that could not be read">
        <li v-for="(problem, i) in reading.problems" :key="i">{{ problem.line ? `Line ${problem.line}: ` : '' }}{{ problem.message }}</li>
      </ul>
      <CommandForm
        v-if="reading.days.length"
        command="import-exposures"
        :machine="tag"
        :initial="{}"
        :fixed="{ whiteningId, days: reading.days }"
        label="Days in the sun"
        :submit="reading.days.length === 1 ? 'Save this day' : `Save ${reading.days.length} days`"
        @done="close()"
      />
    </div>
  </AddPanel>
</template>
