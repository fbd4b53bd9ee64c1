<script setup lang="ts">
import { type PackageForm, likelyForm, pinChart } from '#core/continuity/pin-chart'

/** The pins of one part, typed off the schematic in their order; the chart grows while typing. */
const props = defineProps<{ boardId: number; version: number }>()
const part = ref('')
const text = ref('')
const ids = [useId(), useId()]
/** One net a line; a line may begin with the name of its pin, else they are counted. */
const pins = computed(() => {
  let last = 0
  return text.value.split('\n').flatMap(line => {
    const words = line
      .trim()
      .split(/[\s,;:=]+/)
      .filter(Boolean)
    if (!words.length) return (last++, [])
    const [pin, net] = words.length > 1 ? [words[0]!, words[1]!] : [String(last + 1), words[0]!]
    last = /^\d+$/.test(pin) ? Number(pin) : last + 1
    return net === '-' ? [] : [{ pin, net }]
  })
})
const form = computed<PackageForm>(() =>
  likelyForm(
    part.value,
    pins.value.map(p => p.pin),
  ),
)
const drawn = computed(() => {
  try {
    return pins.value.length && part.value.trim()
      ? Boolean(
          pinChart(
            pins.value.map(p => p.pin),
            form.value,
          ),
        )
      : false
  } catch {
    return false
  }
})
const { submitCommand: add, busy, failure, stale } = useCommand('add-part-pins')
async function keep() {
  const { result, fields } = await add({ boardId: props.boardId, version: props.version, part: part.value.trim(), pins: pins.value })
  if (fields) failure.value = Object.values(fields)[0] ?? failure.value
  if (failure.value || stale.value || result === undefined) return
  ;[part.value, text.value] = ['', '']
}
</script>

<template>
  <form class="grid gap-3 md:grid-cols-2" aria-label="Type a part" @submit.prevent="keep">
    <div class="grid content-start gap-3">
      <FieldFrame :id="ids[0]!" label="Part" hint="Such as U7"><input :id="ids[0]" v-model="part" class="entry figure" autocomplete="off" /></FieldFrame>
      <FieldFrame :id="ids[1]!" label="Nets of its pins, one a line from pin 1" hint="An empty line or - skips a pin; “12 D3” names the pin">
        <textarea :id="ids[1]" v-model="text" class="entry figure" rows="10" />
      </FieldFrame>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
      <p v-if="stale" role="alert" class="text-care">The board was changed meanwhile; it is shown as it is now. Press again to add this part too.</p>
      <button type="submit" class="button w-fit" :disabled="busy || !part.trim() || !pins.length">Add {{ part || 'the part' }}, {{ pins.length }} pins</button>
    </div>
    <PinChartDrawing v-if="drawn" :part="part" :form="form" :pins="pins.map(p => ({ ...p, state: 'unknown' }))" />
  </form>
</template>
