<script setup lang="ts">
import { millisecondsInHour } from 'date-fns/constants'
/** Starts a wait until a time of the collection's clock. */
const props = defineProps<{ tag: string }>()
defineEmits<{ done: [] }>()
const times = useTimes()
const clock = useClock()
const inHours = (hours: number) => times.localOf(new Date(clock.now.getTime() + hours * millisecondsInHour))
const local = ref(inHours(8))
const until = computed(() => times.instantOf(local.value) ?? '')
const offers = [
  { label: '2 h', hours: 2 },
  { label: '8 h', hours: 8 },
  { label: '1 day', hours: 24 },
  { label: '7 days', hours: 168 },
]
</script>

<template>
  <CommandForm
    command="start-wait"
    :machine="props.tag"
    :initial="{ what: '' }"
    :fixed="{ until }"
    label="Start a wait"
    submit="Start the wait"
    @done="$emit('done')"
  >
    <TextField name="what" label="What it waits for" hint="Such as main board drying at 40 °C" />
    <WaitKindField />
    <div class="grid gap-1">
      <MomentField v-model="local" label="Until" />
      <p class="flex flex-wrap gap-2">
        <button v-for="offer in offers" :key="offer.hours" type="button" class="button button-quiet" @click="local = inHours(offer.hours)">
          In {{ offer.label }}
        </button>
      </p>
    </div>
  </CommandForm>
</template>
