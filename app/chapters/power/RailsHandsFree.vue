<script setup lang="ts">
import { railHandsFree, spokenRail, spokenVolts } from '#core/power/hands-free'
import { type Load, shownRail } from '#core/power/rails'
import type { SheetOf } from '#shared/chapters/index'
import { speak, useHandsFree, useMeter } from '../meter/index'

/** Rail after rail with both hands on the probes: what stands still is saved, read back, and the next rail is read out. Shown only where there is a meter. */
const props = defineProps<{ sheet: SheetOf<'power'>; load: Load; wanting: string[] }>()
const emit = defineEmits<{ saved: [rail: string, valueV: string] }>()
const session = useSession()
const meter = useMeter()
onMounted(() => session.person && (meter.view.value ?? meter.look()))
const { submitCommand, busy, failure } = useCommand('take-reading', () => props.sheet.tag)

/** The rails that are still to be read this time, the first of them in hand. */
const left = ref<string[]>([])
const rail = computed(() => props.sheet.expectedRails.find(r => r.name === left.value[0]))
const name = computed(() => (rail.value ? shownRail(rail.value.name) : ''))
const refused = ref('')
/** What ended it well. */
const last = ref('')

async function take(figure: string) {
  // Somebody who says that it is what it shows means the figure it shows last.
  const valueV = figure.split(';').at(-1)!.trim()
  if (!rail.value || busy.value) return
  if (valueV === 'OL') return halt('The meter shows an overload. Look at its range and where its leads are plugged in.')
  const { result, fields } = await submitCommand({ rail: rail.value.name, valueV, load: props.load, sure: false })
  if (result === undefined) return halt(Object.values(fields ?? {}).join(' ') || failure.value)
  const read = `${spokenRail(rail.value.name)}, ${spokenVolts(valueV)}.`
  const judged = railJudged(props.sheet, rail.value.name, Number(valueV), props.load)
  emit('saved', rail.value.name, valueV)
  left.value = left.value.slice(1)
  await nextTick()
  // A rail that is out is looked at before the next: it may be another one that the probe is on.
  if (judged?.verdict === 'out') return halt(`${read} ${judged.findings[0]!.says}`, 'Saved all the same; strike it if the probe was elsewhere.')
  if (rail.value) return speak(`${read} Next, ${spokenRail(rail.value.name)}.`)
  on.value = false
  last.value = 'Every rail has been read.'
  speak(`${read} Every rail has been read.`)
}
const { on, told, asItIs } = useHandsFree({
  manner: railHandsFree,
  inHand: () => rail.value?.name,
  spoken: () => (rail.value ? spokenRail(rail.value.name) : ''),
  read: lifted => meter.read('dc-volts', rail.value && { rail: { nominalV: rail.value.nominalV, lifted } }),
  take: figure => void take(figure),
  words: { lift: 'Lift the probe, or touch both probes together.', place: 'Touch the rail; a figure that stands still is saved.' },
})
/** What a person has to look at ends it: both hands are free then. */
function halt(why: string, then = 'Nothing was saved; type the reading if it is right.') {
  refused.value = `${why} ${then}`
  on.value = false
  speak(`Stopped. ${why}`)
}
function start() {
  refused.value = last.value = ''
  left.value = props.wanting.length ? [...props.wanting] : props.sheet.expectedRails.map(r => r.name)
  on.value = true
}
</script>

<template>
  <div v-if="session.may('take-reading') && meter.there.value" class="grid gap-2">
    <p class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <button type="button" class="button" :aria-pressed="on" @click="on ? (on = false) : start()">Hands-free</button>
      <span v-if="last" role="status" class="font-semibold text-fine">{{ last }}</span>
    </p>
    <div v-if="on && rail" class="grid gap-2 border-l-4 border-note bg-note-wash px-3 py-2">
      <p class="flex flex-wrap items-baseline gap-x-4" aria-live="polite">
        <span class="figure text-[clamp(1.3rem,7vw,2.25rem)] leading-tight font-semibold">{{ name }}</span>
        <span class="hint">{{ left.length }} left</span>
      </p>
      <p role="status" class="font-semibold">{{ told }}</p>
      <button type="button" class="button min-h-14 justify-center" :disabled="busy" @click="asItIs()">Save what it shows</button>
      <p class="hint">
        Clip the ground lead on first and probe with one hand. Nothing on the mains side is read this way. A dead rail reads like a probe in the air, and a
        figure that moves is not believed: press this, or Page Down (a foot switch can send it). Page Up reads the rail out again.
      </p>
    </div>
    <p v-if="refused" role="alert" class="border-l-4 border-stop bg-stop-wash px-3 py-2">{{ refused }}</p>
  </div>
</template>
