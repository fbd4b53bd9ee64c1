<script setup lang="ts">
import { type Registration, onPhoto } from '#core/continuity/registration'
import { photographUrl } from '#shared/chapters/look/index'
import type { BoardPicture, ProbeCheck } from '#shared/chapters/continuity/index'

/** The two pins of a check as rings on a photograph of the board, seen near. */
const props = defineProps<{ picture: BoardPicture; check: Pick<ProbeCheck, 'a' | 'b'> }>()
const near = ref(true)
const rings = computed(() =>
  [props.check.a, props.check.b].flatMap(end =>
    end.xMm === null || end.yMm === null
      ? []
      : [{ name: end.name, ...onPhoto(props.picture as Pick<Registration, 'matrix'>, { xMm: end.xMm, yMm: end.yMm }, props.picture) }],
  ),
)
const inside = computed(() => rings.value.filter(r => r.x >= 0 && r.x <= 1 && r.y >= 0 && r.y <= 1))
/** As near as both fit into half the frame, and no nearer than six times. */
const zoom = computed(() => {
  const [a, b] = inside.value
  if (!near.value || !a || !b) return { scale: 1, x: 0.5, y: 0.5 }
  const far = Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y), 0.02)
  const scale = Math.min(6, Math.max(1, 0.55 / far))
  const keep = (v: number) => Math.min(1 - 0.5 / scale, Math.max(0.5 / scale, v))
  return { scale, x: keep((a.x + b.x) / 2), y: keep((a.y + b.y) / 2) }
})
const place = (r: { x: number; y: number }) => ({
  left: `${((r.x - zoom.value.x) * zoom.value.scale + 0.5) * 100}%`,
  top: `${((r.y - zoom.value.y) * zoom.value.scale + 0.5) * 100}%`,
})
const image = computed(() => ({
  width: `${zoom.value.scale * 100}%`,
  left: `${(0.5 - zoom.value.x * zoom.value.scale) * 100}%`,
  top: `${(0.5 - zoom.value.y * zoom.value.scale) * 100}%`,
}))
</script>

<template>
  <figure class="grid gap-1">
    <div class="relative w-full overflow-hidden border border-line bg-mat" :style="{ aspectRatio: `${picture.widthPx} / ${picture.heightPx}` }">
      <img
        :src="photographUrl(picture.hash, 'working')"
        :alt="`${picture.caption}, with ${rings.map(r => r.name).join(' and ')}`"
        class="absolute max-w-none"
        :style="image"
      />
      <span v-for="ring in inside" :key="ring.name" class="pointer-events-none absolute" :style="place(ring)">
        <span class="absolute h-8 w-8 -translate-x-1/2 -translate-y-1/2 rounded-full border-4 border-white outline-2 outline-black" />
        <span class="figure absolute top-4 left-3 bg-card px-1 text-sm font-semibold whitespace-nowrap">{{ ring.name }}</span>
      </span>
    </div>
    <figcaption class="hint flex flex-wrap items-baseline gap-x-3">
      <span
        >{{ picture.caption }}{{ picture.mirrored ? ', from its back' : '' }};
        {{ picture.residualMm === null ? 'how well it fits is not known' : `fits to ${picture.residualMm.toFixed(1)} mm` }}.</span
      >
      <span v-if="inside.length < rings.length" class="text-care">One of the two lies outside the picture.</span>
      <button type="button" class="underline max-wide:min-h-11" @click="near = !near">{{ near ? 'The whole picture' : 'Nearer' }}</button>
    </figcaption>
  </figure>
</template>
