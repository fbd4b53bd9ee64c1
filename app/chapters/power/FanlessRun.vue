<script setup lang="ts">
import { useLocalStorage, useNow } from '@vueuse/core'
import { fanless } from '#core/power/temperature'
import type { SheetHead } from '#shared/kernel/machine'

/** The clock of a machine that runs without its fan: how long it may still run, then how long it rests. It survives a reload. */
const props = defineProps<{ sheet: SheetHead }>()
const now = useNow({ interval: 250 })
const begun = useLocalStorage<number>(() => `jolly-bench-fanless-${props.sheet.tag}`, 0)
const seconds = computed(() => (begun.value ? (now.value.getTime() - begun.value) / 1000 : 0))
const phase = computed(() =>
  !begun.value || seconds.value > fanless.runSeconds + fanless.restMinutes * 60 ? 'ready' : seconds.value <= fanless.runSeconds ? 'runs' : 'rests',
)
const left = computed(() =>
  Math.ceil(phase.value === 'runs' ? fanless.runSeconds - seconds.value : fanless.runSeconds + fanless.restMinutes * 60 - seconds.value),
)
const clock = computed(() => `${Math.floor(left.value / 60)}:${String(left.value % 60).padStart(2, '0')}`)
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-3 border-l-4 px-3 py-2"
    :class="phase === 'rests' ? 'border-stop bg-stop-wash' : 'border-care bg-care-wash'"
    role="timer"
    :aria-label="`Run without its fan: ${phase}`"
  >
    <template v-if="phase === 'ready'"
      ><span>It has no fan.</span><button type="button" class="button" @click="begun = Date.now()">It is on: start the clock</button></template
    >
    <template v-else
      ><span class="reading text-2xl!">{{ clock }}</span
      ><strong>{{ phase === 'runs' ? 'left, then off' : 'Off now. It rests so long.' }}</strong
      ><button type="button" class="button button-quiet" @click="begun = 0">{{ phase === 'runs' ? 'It is off again' : 'Forget the clock' }}</button></template
    >
  </div>
</template>
