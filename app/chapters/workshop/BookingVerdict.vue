<script setup lang="ts">
import type { ThingView } from '#shared/chapters/workshop/index'

/** Whether what is typed fits, why not, and when it would. */
const props = defineProps<{ typed: object; things: ThingView[] }>()
defineEmits<{ later: [at: string] }>()
const times = useTimes()
const clock = useClock()
const result = computed(() => bookingOf(props.typed, props.things, clock.now.toISOString()))
</script>

<template>
  <div v-if="result" aria-live="polite" class="grid gap-1">
    <FindingList :findings="result.findings" />
    <button v-if="result.freeFrom" type="button" class="button w-fit" @click="$emit('later', result.freeFrom)">
      Take it from {{ times.moment(result.freeFrom) }}
    </button>
  </div>
</template>
