<script setup lang="ts">
import { bornC } from '#core/cleaning/bookings'
import type { Material } from '#core/cleaning/words'
import type { ThingView } from '#shared/chapters/workshop/index'

/** Books a place in a shared thing, judged against what it is booked for as it is typed. */
const props = defineProps<{ tag: string; things: ThingView[]; parts: { name: string; materials: readonly Material[] }[] }>()
defineEmits<{ done: [] }>()
const times = useTimes()
const clock = useClock()
const local = ref(times.localOf(clock.now))
const from = computed(() => times.instantOf(local.value) ?? '')
const choices = computed(() => props.things.map(t => ({ value: t.id, label: `${t.name}, ${thingLimits(t)}` })))
const thingOf = (thingId: unknown) => props.things.find(t => t.id === thingId)
const borne = (what: unknown) => bornC(props.parts.find(p => p.name.toLowerCase() === String(what).trim().toLowerCase())?.materials ?? [])
</script>

<template>
  <CommandForm
    command="book-thing"
    :machine="tag"
    :initial="{ thingId: things[0]!.id, what: '', hours: '12' as never, roomL: '' as never, minC: '' as never, maxC: '' as never, bath: '' }"
    :fixed="{ from }"
    label="Book a place"
    submit="Book it"
    @done="$emit('done')"
  >
    <template #default="{ values }">
      <div class="grid gap-3 sm:grid-cols-2">
        <PickField name="thingId" label="Where" :options="choices" /><TextField
          name="what"
          label="What goes in"
          :suggestions="parts.map(p => p.name)"
          :hint="thingOf(values.thingId)?.limits"
        />
      </div>
      <div class="grid gap-3 sm:grid-cols-[3fr_2fr_3fr]">
        <MomentField v-model="local" label="From" />
        <TextField name="hours" label="Hours" numeric /><TextField name="roomL" label="Room, l" hint="Litres, or its lengths in cm: 30 × 20 × 10" />
      </div>
      <div v-if="thingOf(values.thingId)?.maxC != null" class="grid gap-3 sm:grid-cols-3">
        <TextField name="maxC" label="Not warmer than, °C" numeric :hint="`For hours it bears about ${borne(values.what)} °C`" /><TextField
          name="minC"
          label="Not cooler than, °C"
          numeric
          hint="Leave empty if any temperature will do"
        />
      </div>
      <TextField v-if="thingOf(values.thingId)?.kind === 'tank'" name="bath" label="Bath" hint="What is in the tank; two jobs share only the same" />
      <BookingVerdict :typed="{ ...values, from }" :things="things" @later="at => (local = times.localOf(new Date(at)))" />
    </template>
  </CommandForm>
</template>
