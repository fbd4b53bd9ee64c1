<script setup lang="ts">
import { type Contact, contactNames } from '#core/continuity/contact'
import { pairHandsFree, spokenPin } from '#core/continuity/hands-free'
import type { BoardPicture, ProbeCheck } from '#shared/chapters/continuity/index'
import { speak, useHandsFree, useMeter } from '../meter/index'

/** One pair in big type: what is expected, the reading, or what was heard. */
const props = defineProps<{
  check: ProbeCheck
  /** Photographs on which its board has been found. */
  pictures: BoardPicture[]
  busy: boolean
  failure: string
  last?: { id: number; a: string; b: string; contact: Contact; says: string; because: string }
}>()
const typed = defineModel<string>('typed', { required: true })
const beyond = defineModel<boolean>('beyond', { required: true })
const emit = defineEmits<{ send: [said: string]; again: [checkId: number] }>()
const meter = useMeter()
onMounted(() => meter.look())
const id = useId()
const field = useTemplateRef<HTMLInputElement>('field')
watch(
  () => props.check.id,
  // On a phone the keyboard would cover the keys that are pressed.
  () => !window.matchMedia('(pointer: coarse)').matches && nextTick(() => field.value?.focus({ preventScroll: true })),
  { immediate: true, flush: 'post' },
)
const expected = computed(() => {
  const { kind, expectOhm } = props.check
  if (kind === 'short') return 'Open is expected: two nets side by side.'
  if (kind === 'bridge') return `About ${three(expectOhm ?? 0)} Ω is expected.`
  return kind === 'rail' ? 'Joined is expected, to the rail.' : 'Joined is expected.'
})
const where = (end: ProbeCheck['a']) =>
  [end.side === 'both' ? '' : `on the ${end.side}`, end.socketed ? 'in a socket: probe beyond it' : ''].filter(Boolean).join(', ')
const keys: Contact[] = ['joined', 'high', 'open', 'wobbling']
const {
  on: handsFree,
  told: handsFreeSays,
  asItIs,
} = useHandsFree({
  manner: pairHandsFree,
  inHand: () => props.check.id,
  spoken: () => `${spokenPin(props.check.a.name)}, to ${spokenPin(props.check.b.name)}.`,
  read: lifted => meter.read('ohms', { probing: { checkId: props.check.id, beyond: beyond.value, lifted } }),
  take: figure => emit('send', figure),
  words: { lift: 'Lift the probes.', place: 'Place the probes; a figure that stands still is taken.' },
})
// What was taken is read out before the next pair is.
watch(
  () => props.last?.id,
  () => handsFree.value && props.last && speak(`${contactNames[props.last.contact]}. ${spokenPin(props.check.a.name)}, to ${spokenPin(props.check.b.name)}.`),
  { flush: 'post' },
)
async function fromMeter() {
  const figure = await meter.read('ohms', { probing: { checkId: props.check.id, beyond: beyond.value } })
  if (figure !== undefined) emit('send', figure)
}
</script>

<template>
  <section class="card grid gap-3" aria-label="Current check" :aria-busy="busy">
    <p class="flex flex-wrap items-baseline gap-x-4">
      <span class="figure font-semibold">{{ check.netA === check.netB ? check.netA : `${check.netA} and ${check.netB}` }}</span>
      <span>{{ expected }}</span>
    </p>
    <p v-if="check.why" class="border-l-4 border-care bg-care-wash px-3 py-1">{{ check.why }}</p>
    <div class="grid grid-cols-2 gap-3" aria-live="polite">
      <div v-for="end in [check.a, check.b]" :key="end.name" class="border border-edge bg-mat px-3 py-2">
        <p class="figure text-[clamp(1.3rem,7vw,2.25rem)] leading-tight font-semibold break-all">{{ end.name }}</p>
        <p class="hint">{{ where(end) }}&nbsp;</p>
      </div>
    </div>
    <div class="grid items-start gap-4" :class="pictures.length ? 'lg:grid-cols-[minmax(0,1fr)_26rem]' : ''">
      <form class="grid gap-3" @submit.prevent="typed.trim() && emit('send', typed)">
        <div v-if="handsFree" class="grid gap-2 border-l-4 border-note bg-note-wash px-3 py-2">
          <p role="status" class="font-semibold">{{ handsFreeSays }}</p>
          <button type="button" class="button min-h-14 justify-center" :disabled="busy" @click="asItIs()">Take it as it is</button>
          <p class="hint">
            An open net is never taken by itself: probes in the air read the same. Press this, or Page Down (a foot switch can send it). Page Up reads the pair
            out again.
          </p>
        </div>
        <FieldFrame :id="id" v-slot="{ described }" label="Reading in Ω" hint="OL for open; or j, h, o, w for what you heard" :message="failure">
          <input
            :id="id"
            ref="field"
            v-model="typed"
            class="entry reading"
            inputmode="text"
            autocomplete="off"
            :readonly="busy"
            :aria-describedby="described"
            :aria-invalid="!!failure"
          />
        </FieldFrame>
        <p class="flex flex-wrap gap-2">
          <button type="submit" class="button button-main" :disabled="busy || !typed.trim()">Save reading</button>
          <button v-if="meter.there.value" type="button" class="button" :disabled="busy || meter.busy.value" @click="fromMeter">
            {{ meter.busy.value ? 'Waiting for a steady reading…' : 'Take it from the meter' }}
          </button>
          <button v-if="meter.there.value" type="button" class="button" :aria-pressed="handsFree" @click="handsFree = !handsFree">Hands-free</button>
          <span class="hint">{{ meter.told.value }}</span>
        </p>
        <p class="hint">A buzzer sounds up to some tens of ohms, so a reading tells you more. Press lightly: a finger can close a crack.</p>
        <label class="flex min-h-11 items-center gap-2"
          ><input v-model="beyond" type="checkbox" class="h-5 w-5 accent-enamel" />Probed beyond the socket, without pressing on the pin</label
        >
      </form>
      <div v-if="pictures.length" class="grid gap-3">
        <PinsOnPicture v-for="picture in pictures.slice(0, 2)" :key="picture.id" :picture="picture" :check="check" />
      </div>
    </div>
    <AnswerBar label="What you heard">
      <button v-for="key in keys" :key="key" type="button" class="button min-h-12 justify-center px-1!" :disabled="busy" @click="emit('send', key)">
        {{ contactNames[key] }}
      </button>
      <template v-if="last" #last>
        <span class="figure">{{ last.a }} – {{ last.b }}</span
        >: <strong>{{ contactNames[last.contact].toLowerCase() }}</strong>.
        <button type="button" class="mr-2 underline max-wide:min-h-11" @click="emit('again', last.id)">Ask again</button
        ><span class="hint">{{ last.because }}</span>
      </template>
    </AnswerBar>
  </section>
</template>
