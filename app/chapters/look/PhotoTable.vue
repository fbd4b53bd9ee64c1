<script setup lang="ts">
import { decimals } from '#core/kernel/figure'
import type Konva from 'konva'
import { Circle, Group, Image as KonvaImage, Layer, Line, Path, Stage, Text, useImage } from 'vue-konva'
import { PhArrowsOut, PhMagnifyingGlassMinus, PhMagnifyingGlassPlus } from '~/kernel/signs/icons'
import { useElementSize } from '@vueuse/core'
import type { MarkForm, Point } from '#core/condition/marks'

export interface PhotoShape {
  key: string | number
  form: MarkForm
  points: readonly Point[]
  ink: string
  glyph?: string
  chosen?: boolean
}
export interface PhotoSpot {
  at: Point
  ink: string
  /** Its number among its like. */
  number: number
}

/**
 * A photograph on the table: zoomed and moved with mouse, touch and keys, with marks on it, and points set by whoever draws.
 * Points are shares of width and height. While drawing, the arrow keys move a cross and Enter sets a point.
 */
const props = defineProps<{
  src: string
  name: string
  widthPx: number
  heightPx: number
  shapes?: PhotoShape[]
  draft?: PhotoShape | null
  spots?: PhotoSpot[]
  overlay?: CanvasImageSource | null
  drawing?: boolean
}>()
const emit = defineEmits<{ point: [at: Point]; pick: [key: string | number]; undo: []; finish: []; leave: [] }>()

const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const [image, status] = useImage(() => props.src)
const casing = '#14242A'

const view = ref({ zoom: 1, x: 0, y: 0 })
const fitZoom = computed(() => Math.min(width.value / props.widthPx, height.value / props.heightPx) || 1)
function fit() {
  const zoom = fitZoom.value
  view.value = { zoom, x: (width.value - props.widthPx * zoom) / 2, y: (height.value - props.heightPx * zoom) / 2 }
}
watch([width, height, () => props.src, () => props.widthPx], fit)

function zoomAt(by: number, atX = width.value / 2, atY = height.value / 2) {
  const zoom = Math.min(Math.max(view.value.zoom * by, fitZoom.value * 0.5), 24)
  const { zoom: before, x, y } = view.value
  view.value = { zoom, x: atX - ((atX - x) / before) * zoom, y: atY - ((atY - y) / before) * zoom }
}
const move = (byX: number, byY: number) => (view.value = { ...view.value, x: view.value.x + byX, y: view.value.y + byY })

const inPx = ([x, y]: Point): [number, number] => [x * props.widthPx, y * props.heightPx]
const flat = (points: readonly Point[]) => points.flatMap(inPx)
/** So many pixels of the screen, whatever the zoom. */
const onScreen = (px: number) => px / view.value.zoom

const cross = ref<Point>([0.5, 0.5])
const crossShown = ref(false)
function place(at: Point) {
  if (at.every(share => share >= 0 && share <= 1)) emit('point', [decimals(at[0], 5), decimals(at[1], 5)])
}
type StageEvent = Konva.KonvaEventObject<MouseEvent | TouchEvent>
const pointer = (event: StageEvent) => event.target.getStage()?.getPointerPosition() ?? { x: 0, y: 0 }
function pressed(event: StageEvent) {
  if (!props.drawing) return
  crossShown.value = false
  const { x, y } = pointer(event)
  place([(x - view.value.x) / view.value.zoom / props.widthPx, (y - view.value.y) / view.value.zoom / props.heightPx])
}
function wheeled({ evt, target }: Konva.KonvaEventObject<WheelEvent>) {
  evt.preventDefault()
  const at = target.getStage()?.getPointerPosition()
  zoomAt(evt.deltaY < 0 ? 1.15 : 1 / 1.15, at?.x, at?.y)
}
let pinch = 0
function pinched({ evt }: Konva.KonvaEventObject<TouchEvent>) {
  const [a, b] = [evt.touches[0], evt.touches[1]]
  if (!a || !b || !frame.value) return (pinch = 0)
  evt.preventDefault()
  const box = frame.value.getBoundingClientRect()
  const apart = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY)
  if (pinch) zoomAt(apart / pinch, (a.clientX + b.clientX) / 2 - box.left, (a.clientY + b.clientY) / 2 - box.top)
  pinch = apart
}

const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
function keyed(event: KeyboardEvent) {
  const arrow = arrows[event.key]
  const acts: Record<string, () => void> = {
    '+': () => zoomAt(1.25),
    '=': () => zoomAt(1.25),
    '-': () => zoomAt(0.8),
    '0': fit,
    ...(props.drawing
      ? { Enter: () => crossShown.value && place(cross.value), Backspace: () => emit('undo'), Escape: () => emit('leave'), f: () => emit('finish') }
      : {}),
  }
  if (arrow && props.drawing) {
    const step = event.shiftKey ? 0.05 : 0.005
    crossShown.value = true
    cross.value = [Math.min(1, Math.max(0, cross.value[0] + arrow[0] * step)), Math.min(1, Math.max(0, cross.value[1] + arrow[1] * step))]
  } else if (arrow) {
    move(-arrow[0] * 40, -arrow[1] * 40)
  } else if (acts[event.key]) {
    acts[event.key]!()
  } else {
    return
  }
  event.preventDefault()
  event.stopPropagation()
}
const drawn = computed(() => [...(props.shapes ?? []), ...(props.draft ? [props.draft] : [])])
const middle = (points: readonly Point[]): Point => [
  points.reduce((sum, p) => sum + p[0], 0) / points.length,
  points.reduce((sum, p) => sum + p[1], 0) / points.length,
]
</script>

<template>
  <div class="grid grid-rows-[minmax(0,1fr)_auto] gap-1">
    <div
      ref="frame"
      role="application"
      tabindex="0"
      :aria-label="
        drawing
          ? `${name}. Drawing: arrows move the cross, Enter sets a point, Backspace takes one back, f finishes, Escape leaves.`
          : `${name}. Arrows move, plus and minus zoom, 0 fits.`
      "
      class="relative min-h-64 touch-none overflow-hidden border border-line bg-[#20292b]"
      :class="drawing && 'cursor-crosshair'"
      @keydown="keyed"
    >
      <Stage
        v-if="width"
        class="absolute inset-0"
        :config="{ width, height, scaleX: view.zoom, scaleY: view.zoom, x: view.x, y: view.y, draggable: true }"
        @dragend="(e: Konva.KonvaEventObject<DragEvent>) => e.target.getStage() === e.target && (view = { ...view, x: e.target.x(), y: e.target.y() })"
        @click="pressed"
        @tap="pressed"
        @wheel="wheeled"
        @touchmove="pinched"
        @touchend="pinch = 0"
      >
        <Layer>
          <KonvaImage v-if="image" :config="{ image, width: widthPx, height: heightPx }" />
          <KonvaImage v-if="overlay" :config="{ image: overlay, width: widthPx, height: heightPx, listening: false }" />
        </Layer>
        <Layer>
          <Group v-for="shape in drawn" :key="shape.key" :config="{ listening: !drawing }" @click="emit('pick', shape.key)" @tap="emit('pick', shape.key)">
            <template v-if="shape.form !== 'point' && shape.points.length > 1">
              <Line
                :config="{
                  points: flat(shape.points),
                  closed: shape.form === 'polygon' && shape.key !== 'draft',
                  stroke: casing,
                  strokeWidth: onScreen(shape.chosen ? 8 : 5),
                  lineJoin: 'round',
                }"
              />
              <Line
                :config="{
                  points: flat(shape.points),
                  closed: shape.form === 'polygon' && shape.key !== 'draft',
                  stroke: shape.ink,
                  strokeWidth: onScreen(shape.chosen ? 4 : 2.5),
                  fill: shape.form === 'polygon' && shape.chosen ? shape.ink + '33' : undefined,
                  lineJoin: 'round',
                  hitStrokeWidth: onScreen(14),
                }"
              />
            </template>
            <Circle
              v-for="(point, i) in shape.key === 'draft' ? shape.points : []"
              :key="i"
              :config="{ x: inPx(point)[0], y: inPx(point)[1], radius: onScreen(4), fill: shape.ink, stroke: casing, strokeWidth: onScreen(1.5) }"
            />
            <Group
              v-if="shape.glyph && shape.points.length"
              :config="{ x: inPx(middle(shape.points))[0], y: inPx(middle(shape.points))[1], scaleX: onScreen(1.25), scaleY: onScreen(1.25) }"
            >
              <Circle :config="{ radius: 11, fill: casing, stroke: shape.ink, strokeWidth: shape.chosen ? 3 : 1.5 }" />
              <Path :config="{ data: shape.glyph, x: -8, y: -8, stroke: shape.ink, strokeWidth: 1.5, lineCap: 'round', lineJoin: 'round' }" />
            </Group>
          </Group>
          <Group v-for="(spot, i) in spots ?? []" :key="`spot-${i}`" :config="{ x: inPx(spot.at)[0], y: inPx(spot.at)[1], listening: false }">
            <Circle :config="{ radius: onScreen(6), stroke: spot.ink, strokeWidth: onScreen(2.5), fill: casing }" />
            <Text
              :config="{
                x: onScreen(9),
                y: -onScreen(7),
                text: String(spot.number),
                fontSize: onScreen(14),
                fontStyle: 'bold',
                fill: spot.ink,
                shadowColor: '#000',
                shadowBlur: onScreen(3),
              }"
            />
          </Group>
          <Group v-if="drawing && crossShown" :config="{ x: inPx(cross)[0], y: inPx(cross)[1], listening: false }">
            <Line
              v-for="(points, i) in [
                [-onScreen(14), 0, onScreen(14), 0],
                [0, -onScreen(14), 0, onScreen(14)],
              ]"
              :key="i"
              :config="{ points, stroke: '#FFFFFF', strokeWidth: onScreen(2), shadowColor: '#000', shadowBlur: 4, shadowOpacity: 1 }"
            />
          </Group>
        </Layer>
      </Stage>
      <p v-if="status !== 'loaded'" role="status" class="absolute inset-0 grid place-items-center text-white">
        {{ status === 'error' ? 'The photograph could not be fetched.' : 'Fetching the photograph…' }}
      </p>
    </div>
    <div class="flex flex-wrap items-center gap-1">
      <button type="button" class="button button-quiet" @click="zoomAt(1.25)"><PhMagnifyingGlassPlus aria-hidden="true" />Nearer</button>
      <button type="button" class="button button-quiet" @click="zoomAt(0.8)"><PhMagnifyingGlassMinus aria-hidden="true" />Farther</button>
      <button type="button" class="button button-quiet" @click="fit"><PhArrowsOut aria-hidden="true" />Whole</button>
      <slot />
    </div>
  </div>
</template>
