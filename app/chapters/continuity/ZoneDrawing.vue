<script setup lang="ts">
import { decimals } from '#core/kernel/figure'
import { useQuery } from '@pinia/colada'
import type { BoardPlaces } from '#shared/chapters/continuity/index'

/** The board from the front, as its file has it: corner after corner pressed round the damage makes the zone. */
const props = defineProps<{ boardId: number; corners: readonly (readonly [number, number])[]; parts: readonly string[] }>()
const emit = defineEmits<{ corner: [x: number, y: number]; undo: []; clear: [] }>()
const api = useApi()
const { data } = useQuery<BoardPlaces>({
  key: () => ['board', props.boardId, 'places'],
  query: () => api.get<BoardPlaces>(`/api/boards/${props.boardId}/places`),
})
const margin = 5
const frame = computed(() => {
  const boxes = data.value?.parts ?? []
  if (!boxes.length) return
  const [left, top] = [Math.min(...boxes.map(b => b.left)) - margin, Math.min(...boxes.map(b => b.top)) - margin]
  return { left, top, width: Math.max(...boxes.map(b => b.right)) + margin - left, height: Math.max(...boxes.map(b => b.bottom)) + margin - top }
})
const dot = computed(() => (frame.value ? Math.max(frame.value.width, frame.value.height) / 400 : 1))
function pressed(event: MouseEvent) {
  const svg = event.currentTarget as SVGSVGElement
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse())
  emit('corner', decimals(at.x, 1), decimals(at.y, 1))
}
</script>

<template>
  <figure v-if="frame && data" class="grid gap-1">
    <svg
      :viewBox="`${frame.left} ${frame.top} ${frame.width} ${frame.height}`"
      class="max-h-96 w-full cursor-crosshair border border-line bg-mat"
      role="img"
      aria-label="The board from the front; press corners around the damage, or type them"
      @click="pressed"
    >
      <rect
        v-for="box in data.parts"
        :key="box.part"
        :x="box.left - 1"
        :y="box.top - 1"
        :width="box.right - box.left + 2"
        :height="box.bottom - box.top + 2"
        class="stroke-edge"
        :class="parts.includes(box.part) ? 'fill-care-wash' : 'fill-card'"
        :stroke-width="dot * 0.7"
      />
      <circle v-for="([x, y], i) in data.pins" :key="i" :cx="x" :cy="y" :r="dot" class="fill-ink-2" />
      <text
        v-for="box in data.parts"
        :key="`t${box.part}`"
        :x="(box.left + box.right) / 2"
        :y="(box.top + box.bottom) / 2 + dot * 2"
        :font-size="dot * 6"
        text-anchor="middle"
        class="figure pointer-events-none fill-ink"
      >
        {{ box.part }}
      </text>
      <polygon v-if="corners.length > 2" :points="corners.map(c => c.join()).join(' ')" class="fill-rust/20 stroke-rust" :stroke-width="dot * 2" />
      <polyline v-else-if="corners.length === 2" :points="corners.map(c => c.join()).join(' ')" class="stroke-rust" :stroke-width="dot * 2" />
      <circle v-for="([x, y], i) in corners" :key="`c${i}`" :cx="x" :cy="y" :r="dot * 3" class="fill-rust" />
    </svg>
    <figcaption class="flex flex-wrap items-center gap-3">
      <span class="hint">Press corners around the damage, on the board seen from the front.</span>
      <button type="button" class="button button-quiet" :disabled="!corners.length" @click="emit('undo')">Undo last corner</button>
      <button type="button" class="button button-quiet" :disabled="!corners.length" @click="emit('clear')">No outline</button>
    </figcaption>
  </figure>
  <p v-else-if="data" class="hint">The file has no places for its pins: choose by parts.</p>
</template>
