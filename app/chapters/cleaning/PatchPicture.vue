<script setup lang="ts">
import type { PatchBox as Box } from '#core/cleaning/patch-colour'

/** A picture on which boxes are drawn, by dragging or by keys: arrows move the box, with Shift they size it. */
defineProps<{ url: string; boxes: (Box & { called: string; neutral: boolean })[] }>()
const emit = defineEmits<{ box: [box: Box] }>()
const frame = useTemplateRef<HTMLElement>('frame')
const drag = ref<{ x: number; y: number }>()
const live = ref<Box>({ x: 0.4, y: 0.4, width: 0.1, height: 0.1 })
function at(event: PointerEvent) {
  const { left, top, width, height } = frame.value!.getBoundingClientRect()
  const clamp = (v: number) => Math.min(1, Math.max(0, v))
  return { x: clamp((event.clientX - left) / width), y: clamp((event.clientY - top) / height) }
}
function down(event: PointerEvent) {
  frame.value!.setPointerCapture(event.pointerId)
  drag.value = at(event)
}
function move(event: PointerEvent) {
  if (!drag.value) return
  const [a, b] = [drag.value, at(event)]
  live.value = { x: Math.min(a.x, b.x), y: Math.min(a.y, b.y), width: Math.abs(a.x - b.x), height: Math.abs(a.y - b.y) }
}
function up() {
  if (drag.value && live.value.width > 0.005 && live.value.height > 0.005) emit('box', live.value)
  drag.value = undefined
}
const steps: Record<string, [number, number]> = { ArrowLeft: [-0.01, 0], ArrowRight: [0.01, 0], ArrowUp: [0, -0.01], ArrowDown: [0, 0.01] }
function key(event: KeyboardEvent) {
  const step = steps[event.key]
  if (event.key === 'Enter') emit('box', live.value)
  if (!step) return
  event.preventDefault()
  const { x, y, width, height } = live.value
  const inside = (v: number, size: number) => Math.min(1 - size, Math.max(0, v))
  live.value = event.shiftKey
    ? { x, y, width: Math.min(1 - x, Math.max(0.01, width + step[0])), height: Math.min(1 - y, Math.max(0.01, height + step[1])) }
    : { x: inside(x + step[0], width), y: inside(y + step[1], height), width, height }
}
const style = (box: Box) => ({ left: `${box.x * 100}%`, top: `${box.y * 100}%`, width: `${box.width * 100}%`, height: `${box.height * 100}%` })
</script>

<template>
  <div
    ref="frame"
    class="relative max-w-xl touch-none select-none"
    role="application"
    tabindex="0"
    aria-label="Picture: drag a box, or move it with the arrow keys, size it with Shift and them, and press Enter"
    @pointerdown="down"
    @pointermove="move"
    @pointerup="up"
    @keydown="key"
  >
    <img :src="url" alt="" class="w-full" draggable="false" />
    <span
      v-for="box in boxes"
      :key="box.called"
      class="absolute overflow-hidden border-2 border-white outline-2 outline-ink"
      :class="{ 'border-dotted': box.neutral }"
      :style="style(box)"
    >
      <span class="block w-fit bg-ink px-1 text-sm text-card">{{ box.called }}</span>
    </span>
    <span class="absolute border-2 border-dashed border-white outline-1 outline-ink" :style="style(live)" />
  </div>
</template>
