<script setup lang="ts">
import { PhX } from '~/kernel/signs/icons'
import type { Drawing } from '~/chapters/look/composables/useDrawing'
import type { useCorrosion } from '~/chapters/look/composables/useCorrosion'

/** The steps of a measurement: outline, spots of both kinds, measure; then the threshold and what was found. */
const props = defineProps<{ corrosion: ReturnType<typeof useCorrosion>; drawing: Drawing }>()
const { outline, corroded, sound, threshold, progress, area, trouble, current } = props.corrosion
const id = useId()
const ready = computed(() => corroded.value.length > 0 && sound.value.length > 0)
const kinds = [
  { purpose: 'corroded', name: 'corrosion', spots: corroded, ink: 'bg-[#FF40C8]' },
  { purpose: 'sound', name: 'sound surface', spots: sound, ink: 'bg-[#39D98A]' },
] as const

/** Spots are touched one after the other until somebody says it is enough. */
function touch(kind: (typeof kinds)[number]) {
  props.drawing.begin(kind.purpose, 'point', ({ points }) => {
    kind.spots.value = [...kind.spots.value, ...points]
    touch(kind)
  })
}
</script>

<template>
  <div class="grid content-start gap-3">
    <ol class="grid gap-3">
      <li class="grid gap-1">
        <p class="font-semibold">1. The area of interest</p>
        <DrawingBar
          v-if="drawing.purpose.value === 'outline'"
          :drawing="drawing"
          says="Draw around the surface to be measured, leaving out what does not belong to it."
        />
        <p v-else class="flex flex-wrap items-center gap-2">
          <span class="hint">{{ outline.length ? `${outline.length} points` : 'The whole photograph' }}</span><button
            type="button"
            class="button"
            @click="drawing.begin('outline', 'polygon', ({ points }) => (outline = points))"
          >
            Outline the area</button
          ><button v-if="outline.length" type="button" class="button button-quiet" @click="outline = []">Use the whole picture</button>
        </p>
      </li>
      <li v-for="(kind, i) in kinds" :key="kind.purpose" class="grid gap-1">
        <p class="font-semibold">{{ i + 2 }}. A few spots of {{ kind.name }}</p>
        <p class="flex flex-wrap items-center gap-2">
          <span class="inline-block h-3 w-3 rounded-full border border-ink" :class="kind.ink" aria-hidden="true" /><span class="hint">{{
            kind.spots.value.length === 1 ? '1 spot' : `${kind.spots.value.length} spots`
          }}</span>
          <button
            type="button"
            class="button"
            :aria-pressed="drawing.purpose.value === kind.purpose"
            @click="drawing.purpose.value === kind.purpose ? drawing.leave() : touch(kind)"
          >
            {{ drawing.purpose.value === kind.purpose ? 'Enough' : 'Touch' }}<span class="sr-only"> {{ kind.name }}</span>
          </button>
          <button
            v-for="(_, nth) in kind.spots.value"
            :key="nth"
            type="button"
            class="button button-quiet wide:min-h-7! wide:px-1.5! wide:py-0!"
            @click="kind.spots.value = kind.spots.value.filter((_spot, i) => i !== nth)"
          >
            <span class="figure">{{ nth + 1 }}</span><PhX aria-hidden="true" /><span class="sr-only">: take this spot of {{ kind.name }} away</span>
          </button>
        </p>
        <p v-if="drawing.purpose.value === kind.purpose" role="status" class="hint">Press spots of {{ kind.name }} on the photograph, in light and in shade.</p>
      </li>
    </ol>
    <div class="flex flex-wrap items-center gap-2">
      <button type="button" class="button button-main" :disabled="!ready || progress !== undefined" @click="corrosion.measure()">Measure</button>
      <template v-if="progress !== undefined"
        ><progress class="h-2 w-28 accent-enamel" :value="progress" max="1" aria-label="Measuring" /><span class="figure text-sm" role="status"
          >{{ Math.round(progress * 100) }} %</span
        ><button type="button" class="button" @click="corrosion.cancel()">Cancel</button></template
      >
      <span v-else-if="!ready" class="hint">Touch one spot of each kind first.</span>
      <span v-else-if="area && !current" class="hint">Changed since; measure again.</span>
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <template v-if="area">
      <div class="grid gap-1">
        <label :for="`${id}-threshold`" class="font-semibold"
          >Threshold <span class="figure font-normal">{{ threshold.toFixed(2) }}</span></label
        ><input :id="`${id}-threshold`" v-model.number="threshold" type="range" min="0.1" max="0.9" step="0.01" class="accent-enamel" />
        <p class="hint">Left: more counts as corroded. Right: less. In the middle, a pixel is equally likely to be either.</p>
      </div>
      <slot :area="area" />
    </template>
  </div>
</template>
