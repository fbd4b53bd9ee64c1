<script setup lang="ts">
import type { KeepOut, Landing, PatchWire } from '#core/continuity/patch-plan'
import type { Spot } from '#core/continuity/board'

/** Pieces, what is kept free, bare vias and the wires between them, as they lie on the board; mirrored for its back. */
const props = defineProps<{
  pieces: readonly (readonly Landing[])[]
  keepOuts: readonly KeepOut[]
  vias: readonly Spot[]
  wires: readonly PatchWire[]
  mirrored: boolean
}>()
const margin = 8
const frame = computed(() => {
  const spots = [
    ...props.pieces.flat(),
    ...props.vias,
    ...props.keepOuts.flatMap(k => k.outline.map(([xMm, yMm]) => ({ xMm, yMm }))),
    ...props.wires.flatMap(w => w.way),
  ]
  const [xs, ys] = [spots.map(p => p.xMm), spots.map(p => p.yMm)]
  return {
    left: Math.min(...xs) - margin,
    top: Math.min(...ys) - margin,
    width: Math.max(...xs) - Math.min(...xs) + 2 * margin,
    height: Math.max(...ys) - Math.min(...ys) + 2 * margin,
  }
})
/** Seen from the back, left and right change places. */
const x = (mm: number) => (props.mirrored ? 2 * frame.value.left + frame.value.width - mm : mm)
const line = (way: readonly Spot[]) => way.map(p => `${x(p.xMm)},${p.yMm}`).join(' ')
const size = computed(() => Math.max(frame.value.width, frame.value.height) / 40)
</script>

<template>
  <figure class="grid gap-1">
    <svg
      :viewBox="`${frame.left} ${frame.top} ${frame.width} ${frame.height}`"
      class="max-h-80 w-full border border-line bg-mat"
      role="img"
      :aria-label="`${wires.length} wires, seen from the ${mirrored ? 'back' : 'front'}`"
    >
      <polygon
        v-for="(keep, i) in keepOuts"
        :key="`k${i}`"
        :points="keep.outline.map(([kx, ky]) => `${x(kx)},${ky}`).join(' ')"
        class="fill-line stroke-edge"
        :stroke-width="size / 8"
      />
      <circle v-for="(via, i) in vias" :key="`v${i}`" :cx="x(via.xMm)" :cy="via.yMm" :r="size / 3" class="fill-rust" />
      <polyline v-for="(wire, i) in wires" :key="`w${i}`" :points="line(wire.way)" fill="none" class="stroke-enamel" :stroke-width="size / 4" />
      <g v-for="(piece, i) in pieces" :key="`p${i}`">
        <g v-for="landing in piece" :key="landing.name">
          <circle
            :cx="x(landing.xMm)"
            :cy="landing.yMm"
            :r="size / 2"
            class="stroke-ink"
            :class="landing.leg ? 'fill-ink' : 'fill-card'"
            :stroke-width="size / 8"
          />
          <text :x="x(landing.xMm) + size * 0.8" :y="landing.yMm - size * 0.5" :font-size="size" class="fill-ink figure">{{ landing.name }}</text>
        </g>
      </g>
    </svg>
    <figcaption class="hint">
      Seen from the {{ mirrored ? 'back, mirrored' : 'front' }}. Filled: a leg to solder to; open: a bare pad or a socket; red: a bare via.
    </figcaption>
  </figure>
</template>
