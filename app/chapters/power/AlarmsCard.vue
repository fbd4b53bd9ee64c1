<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** What was measured once and may have done harm: each stands until somebody says what it was. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const times = useTimes()
const open = ref<string>()
</script>

<template>
  <OneCard title="Alarms" hint="A good reading afterwards does not clear it. Each alarm stays until somebody says what it was and what was done.">
    <ul class="grid divide-y divide-line border-y border-line">
      <li v-for="alarm in props.sheet.power.alarms" :key="alarm.key" class="grid gap-1 py-2">
        <div class="grid grid-cols-[4.25rem_1fr_auto] items-baseline gap-2">
          <LevelSign level="stop" />
          <div>
            <p class="font-semibold">{{ alarm.finding.says }}</p>
            <p class="hint">{{ times.day(alarm.at) }}. {{ alarm.finding.because.join(' ') }}</p>
          </div>
          <button
            v-if="session.may('explain-alarm')"
            type="button"
            class="text-sm underline"
            :aria-expanded="open === alarm.key"
            @click="open = open === alarm.key ? undefined : alarm.key"
          >
            Explain it<span class="sr-only">: {{ alarm.finding.says }}</span>
          </button>
        </div>
        <CommandForm
          v-if="open === alarm.key"
          command="explain-alarm"
          :machine="sheet.tag"
          :initial="{ says: '' }"
          :fixed="{ alarm: alarm.key }"
          label="Explain alarm"
          submit="Save explanation"
          class="bg-mat p-3"
          @done="open = undefined"
          ><TextField name="says" label="What it was" hint="What was found, and what was done about it" :lines="2"
        /></CommandForm>
      </li>
    </ul>
  </OneCard>
</template>
