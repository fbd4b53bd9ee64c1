<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { writtenDay, writtenMoment } from '#core/kernel/days'
import { readDay, readMoment } from '#core/kernel/read-day'
import { PhCalendarBlank } from '~/kernel/signs/icons'

/**
 * A day typed as people say it, or chosen from a month; the same on every browser. Its value is what ISO writes, `2026-11-28`,
 * or with `timed` `2026-11-28T21:30`; what cannot be read is kept as it was typed, for whoever judges it.
 */
const props = defineProps<{
  id: string
  label: string
  described?: string
  invalid?: boolean
  required?: boolean
  /** A year or a month is enough. */
  rough?: boolean
  timed?: boolean
}>()
const emit = defineEmits<{ left: [] }>()
const value = defineModel<string | null>({ required: true })
const times = useTimes()
const clock = useClock()
const today = computed(() => times.localOf(clock.now).slice(0, 10))
const read = (text: string) => (props.timed ? readMoment(text, today.value) : readDay(text, today.value, props.rough))
/** What is read back as itself is shown as it is written everywhere; all else as it stands. */
const shown = (iso: string | null | undefined) => (iso && read(iso) === iso ? (props.timed ? writtenMoment(iso) : writtenDay(iso)) : (iso ?? ''))
const text = ref(shown(value.value))
const typing = ref(false)
watch(value, now => {
  if (!typing.value) text.value = shown(now)
})
function typed() {
  typing.value = true
  value.value = text.value.trim() ? (read(text.value) ?? text.value) : ''
}
function leave() {
  typing.value = false
  text.value = shown(value.value)
  emit('left')
}
function choose(day: string, close: () => void) {
  value.value = props.timed ? `${day}T${/T(\d\d:\d\d)$/.exec(value.value ?? '')?.[1] ?? '12:00'}` : day
  leave()
  close()
}
</script>

<template>
  <div class="relative flex">
    <input
      :id="id"
      v-model="text"
      class="entry min-w-0 flex-1 figure"
      autocomplete="off"
      :aria-describedby="described"
      :aria-invalid="invalid"
      :aria-required="required || undefined"
      @input="typed"
      @blur="leave"
      @keydown.enter="leave"
    />
    <Popover v-slot="{ close }" class="contents">
      <PopoverButton class="button -ml-px" :aria-label="`${label}: choose a day`"><PhCalendarBlank aria-hidden="true" /></PopoverButton>
      <PopoverPanel class="absolute top-full left-0 z-40 mt-1 w-72 max-w-[90vw] border border-edge bg-card p-2 shadow-lg">
        <LazyDayCalendar :chosen="(value ?? '').slice(0, 10)" :today="today" @choose="day => choose(day, close)" />
      </PopoverPanel>
    </Popover>
  </div>
</template>
