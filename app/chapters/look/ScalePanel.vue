<script setup lang="ts">
import { judgeScale } from '#core/condition/marks'
import { knownDistances } from '#core/condition/pitches'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import type { SheetHead } from '#shared/kernel/machine'
import type { PhotographView } from '#shared/chapters/look/index'
import type { Drawing, Drawn } from '~/chapters/look/composables/useDrawing'

/** Two points and the distance between them on the thing itself: from then on marks have millimetres. */
const props = defineProps<{ sheet: SheetHead; photograph: PhotographView; drawing: Drawing }>()
const drawn = defineModel<Drawn | undefined>('drawn')
const session = useSession()
const typed = ref('')
const preset = ref('')
const id = useId()
watch(preset, name => {
  const known = knownDistances.find(k => k.name === name)
  if (known) typed.value = String(known.distanceMm)
})
const read = computed(() => {
  if (!typed.value.trim()) return { message: '' }
  try {
    return { distanceMm: parseQuantity(typed.value, 'mm', 'distanceMm') }
  } catch (error) {
    return { message: (error as Error).message }
  }
})
const judged = computed(() => {
  const [from, to] = drawn.value?.points ?? []
  const { distanceMm } = read.value
  if (!from || !to || distanceMm === undefined) return undefined
  const scale = { from, to, distanceMm }
  try {
    return { scale, findings: judgeScale(scale, props.photograph), message: '' }
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return { findings: [], message: error.message }
  }
})
const { submitCommand: send, busy, failure, stale } = useCommand('set-scale', () => props.sheet.tag)

async function keep(scale: NonNullable<PhotographView['scale']> | null) {
  const { result } = await send({ photographId: props.photograph.id, version: props.photograph.version, scale })
  if (result !== undefined) drawn.value = undefined
}
</script>

<template>
  <div class="grid content-start gap-3">
    <FindingList v-if="photograph.scale && !drawn" :findings="judgeScale(photograph.scale, photograph)" />
    <p v-else-if="!drawn" class="hint">No scale yet. Two points with a known distance between them give every mark its millimetres.</p>
    <template v-if="session.may('set-scale')">
      <DrawingBar v-if="drawing.purpose.value === 'scale'" :drawing="drawing" says="Press both ends of a known distance." />
      <form v-else-if="drawn" aria-label="Set the scale" class="grid gap-3" novalidate @submit.prevent="judged?.scale && keep(judged.scale)">
        <div class="grid gap-1">
          <label :for="`${id}-preset`" class="font-semibold">A distance found on every board</label
          ><select :id="`${id}-preset`" v-model="preset" class="entry">
            <option value="">Something else</option>
            <option v-for="known in knownDistances" :key="known.name" :value="known.name">{{ known.name }}, {{ known.distanceMm }} mm</option>
          </select>
        </div>
        <FieldFrame :id="`${id}-mm`" v-slot="{ described }" label="Distance in mm" :message="read.message || judged?.message"
          ><input
            :id="`${id}-mm`"
            v-model="typed"
            class="entry reading"
            inputmode="decimal"
            autocomplete="off"
            :aria-describedby="described"
            :aria-invalid="!!(read.message || judged?.message)"
        /></FieldFrame>
        <FindingList v-if="judged?.findings.length" :findings="judged.findings" />
        <div class="flex flex-wrap gap-2">
          <button type="submit" class="button button-main" :disabled="busy || !judged?.scale">Save scale</button
          ><button type="button" class="button" @click="drawn = undefined">Leave it</button>
        </div>
      </form>
      <div v-else class="flex flex-wrap gap-2">
        <button type="button" class="button" @click="drawing.begin('scale', 'line', result => (drawn = result), 2)">
          {{ photograph.scale ? 'Set again' : 'Set two points' }}
        </button>
        <button v-if="photograph.scale" type="button" class="button button-quiet" :disabled="busy" @click="keep(null)">Remove</button>
      </div>
      <p v-if="failure || stale" role="alert" class="text-stop">{{ failure || stale?.message }}</p>
    </template>
  </div>
</template>
