<script setup lang="ts">
import {
  addDays,
  addMonths,
  eachDayOfInterval,
  endOfMonth,
  endOfWeek,
  format,
  isSameDay,
  isSameMonth,
  isValid,
  parseISO,
  startOfMonth,
  startOfWeek,
} from 'date-fns'
import { PhCaretLeft, PhCaretRight } from '~/kernel/signs/icons'

/** A month of days to choose from; arrows go a day or a week, Page Up and Page Down a month. */
const props = defineProps<{ chosen: string; today: string }>()
const emit = defineEmits<{ choose: [day: string] }>()
const today = parseISO(props.today)
const given = parseISO(props.chosen)
const at = ref(isValid(given) ? given : today)
const weekStartsOn = 1
const days = computed(() =>
  eachDayOfInterval({ start: startOfWeek(startOfMonth(at.value), { weekStartsOn }), end: endOfWeek(endOfMonth(at.value), { weekStartsOn }) }),
)
const steps: Record<string, (day: Date) => Date> = {
  ArrowLeft: day => addDays(day, -1),
  ArrowRight: day => addDays(day, 1),
  ArrowUp: day => addDays(day, -7),
  ArrowDown: day => addDays(day, 7),
  PageUp: day => addMonths(day, -1),
  PageDown: day => addMonths(day, 1),
}
const grid = useTemplateRef<HTMLElement>('grid')
const toFocus = () => grid.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus()
async function go(event: KeyboardEvent) {
  const step = steps[event.key]
  if (!step) return
  event.preventDefault()
  at.value = step(at.value)
  await nextTick()
  toFocus()
}
onMounted(toFocus)
</script>

<template>
  <div class="grid gap-1" @keydown="go">
    <div class="flex items-center justify-between">
      <button type="button" class="button button-quiet" aria-label="Month before" @click="at = addMonths(at, -1)"><PhCaretLeft aria-hidden="true" /></button>
      <span class="font-semibold" aria-live="polite">{{ format(at, 'MMMM yyyy') }}</span>
      <button type="button" class="button button-quiet" aria-label="Month after" @click="at = addMonths(at, 1)"><PhCaretRight aria-hidden="true" /></button>
    </div>
    <div ref="grid" class="grid grid-cols-7 text-center" role="group" aria-label="Days">
      <span v-for="day in days.slice(0, 7)" :key="day.getTime()" class="hint" aria-hidden="true">{{ format(day, 'EEEEEE') }}</span>
      <button
        v-for="day in days"
        :key="day.getTime()"
        type="button"
        class="figure min-h-11 wide:min-h-8 hover:bg-mat"
        :class="[
          isSameDay(day, given) ? 'bg-enamel text-on-enamel' : isSameMonth(day, at) ? '' : 'text-ink-2',
          isSameDay(day, today) && 'font-semibold underline',
        ]"
        :tabindex="isSameDay(day, at) ? 0 : -1"
        :aria-label="format(day, 'd MMM yyyy')"
        :aria-pressed="isSameDay(day, given)"
        @click="emit('choose', format(day, 'yyyy-MM-dd'))"
      >
        {{ day.getDate() }}
      </button>
    </div>
    <p class="flex gap-2"><button type="button" class="button button-quiet" @click="emit('choose', props.today)">Today</button></p>
  </div>
</template>
