<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Each time that it ran before visitors. */
const props = defineProps<{ sheet: SheetOf<'home'> }>()
const session = useSession()
const times = useTimes()
const runs = computed(() => props.sheet.life === 'demonstration' || props.sheet.life === 'hands-on')
const shown = computed(() => [...props.sheet.demonstrations].reverse())
const hours = computed(() => props.sheet.demonstrations.reduce((sum, d) => sum + d.minutes, 0) / 60)
const all = ref(false)
</script>

<template>
  <OneCard
    title="Before visitors"
    :state="shown.length ? 'done' : 'none'"
    :stays="runs"
    :result="shown.length ? `${shown.length} times, ${hours.toFixed(1)} h` : 'Not yet'"
    hint="How long it ran, and what happened; trouble becomes a fault at once."
  >
    <FindingList v-if="sheet.demonstrationFindings.length" :findings="sheet.demonstrationFindings" />
    <p v-if="shown.length">
      <span class="figure text-xl font-semibold">{{ hours.toFixed(1) }} h</span> in {{ shown.length === 1 ? 'one time' : `${shown.length} times` }}.
    </p>
    <ul v-if="shown.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in all ? shown : shown.slice(0, 6)" :key="one.id" class="flex flex-wrap items-baseline gap-x-3 py-1">
        <span class="hint">{{ times.day(one.at) }}, {{ one.by }}</span
        ><span class="figure">{{ one.minutes }} min</span><span :class="one.trouble && 'text-stop'">{{ one.says }}</span>
      </li>
    </ul>
    <p v-if="shown.length > 6 && !all">
      <button type="button" class="button button-quiet" @click="all = true">Show all {{ shown.length }}</button>
    </p>
    <EmptyPlace v-if="!runs && !shown.length" says="It is not set to run for visitors." />
    <CommandForm
      v-if="runs && session.may('log-demonstration')"
      command="log-demonstration"
      :machine="sheet.tag"
      :initial="{ minutes: '' as never, says: '', trouble: false }"
      label="Add a run"
      submit="Save"
      ><div class="grid gap-3 sm:grid-cols-[8rem_1fr]"><TextField name="minutes" label="Minutes" numeric /><TextField name="says" label="What happened" /></div>
      <TickField name="trouble" label="Something went wrong: report it as a fault"
    /></CommandForm>
  </OneCard>
</template>
