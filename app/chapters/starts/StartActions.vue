<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { shownRail } from '#core/power/rails'
import { noticed } from '#core/power/noticed'
import type { StartPhase } from '#core/power/start-ritual'
import type { StartFrame } from '#shared/chapters/starts/index'

/** What can be done in this phase of a start. On a phone it stays at the lower edge, under the thumb. */
const props = defineProps<{ frame: StartFrame; phase: StartPhase; trouble: string; tell: (what: Record<string, unknown>) => Promise<boolean> }>()
const { submitCommand, busy, failure } = useCommand('end-start', () => props.frame.tag)
const card = useTemplateRef<HTMLElement>('card')
const running = computed(() => props.phase === 'on' || props.phase === 'countdown')
const off = () => props.tell({ do: 'stop' })
// Fast, whatever has the focus.
onKeyStroke('Escape', () => running.value && void off())
// The button that was pressed is gone in the next phase; the keyboard goes on from here, and no press too many falls on another button.
watch(
  () => props.phase,
  async () => {
    const held = !document.activeElement || document.activeElement === document.body || card.value?.contains(document.activeElement)
    await nextTick()
    if (held) card.value?.focus({ preventScroll: true })
  },
)
/** What was noticed can be said when it calls the start off, and afterwards: the hand goes to the switch first. */
const mayNotice = computed(() => props.phase === 'on' || props.phase === 'off-now' || (props.phase === 'off' && props.frame.called !== null))
</script>

<template>
  <div ref="card" tabindex="-1" class="card grid gap-3 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:gap-2 max-lg:p-3!">
    <template v-if="phase === 'ready' || phase === 'off'">
      <p v-if="phase === 'off' && frame.called" class="border-l-4 border-stop bg-stop-wash px-3 py-2"><strong>Called off:</strong> {{ frame.called.says }}</p>
      <p v-if="phase === 'ready'">Probe on {{ shownRail(frame.rail) }}, black lead on ground. {{ frame.atSwitch }} says when the hand is at the switch.</p>
      <button
        type="button"
        class="button button-main min-h-14! justify-center text-lg"
        :disabled="frame.plan.byMeter && frame.meter !== 'ready'"
        @click="tell({ do: 'count-down' })"
      >
        {{ phase === 'off' ? 'Count down again' : 'Count down' }}
      </button>
      <p v-if="frame.before.length" class="hint">
        Kept with the start: {{ frame.before.length }} {{ frame.before.length === 1 ? 'run' : 'runs' }} before this one.
      </p>
      <button type="button" class="button min-h-11! justify-center" :disabled="busy" @click="submitCommand({})">
        {{ Object.keys(frame.kept).length || frame.before.length ? 'End the start and keep the readings' : 'End the start' }}
      </button>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    </template>
    <template v-else>
      <p v-if="phase === 'switching-off'" class="font-display text-2xl font-semibold">{{ frame.atSwitch }}: switch it off.</p>
      <button
        v-if="running"
        type="button"
        class="button min-h-16! flex-wrap justify-center border-stop! bg-stop! text-2xl font-bold text-card!"
        aria-keyshortcuts="Escape"
        @click="off"
      >
        Off now
      </button>
      <p v-if="running" class="hint max-lg:hidden">Or press Esc.</p>
      <button v-if="phase === 'on'" type="button" class="button min-h-14! justify-center text-lg" @click="tell({ do: 'done' })">Done, switch it off</button>
      <button v-else type="button" class="button button-main min-h-14! justify-center text-lg" @click="tell({ do: 'is-off' })">
        {{ phase === 'countdown' ? 'Stop the count' : 'It is off' }}
      </button>
    </template>
    <div v-if="mayNotice" class="grid gap-1">
      <p class="hint max-lg:hidden">{{ phase === 'on' ? 'Something noticed' : 'Was something noticed?' }}</p>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="({ title }, what) in noticed"
          :key="what"
          type="button"
          class="button"
          :aria-pressed="frame.noticed.includes(what)"
          :class="frame.noticed.includes(what) && 'border-stop! bg-stop-wash! font-semibold'"
          @click="tell({ do: 'stop', noticed: what })"
        >
          {{ title }}
        </button>
      </div>
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  </div>
</template>
