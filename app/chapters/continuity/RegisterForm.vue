<script setup lang="ts">
import { photographUrl } from '#shared/chapters/look/index'
import type { SheetOf } from '#shared/chapters/index'

/** Pins pointed out on a photograph, one after the other, until the board is found on it. */
const props = defineProps<{ sheet: SheetOf<'continuity'> }>()
const emit = defineEmits<{ done: [] }>()
const all = computed(() => props.sheet.continuity)
const boardId = ref(all.value.boards[0]!.id)
const photographId = ref(all.value.photographs[0]!.id)
const perspective = ref(false)
const pin = ref('')
const at = ref<{ x: number; y: number }>()
const pairs = ref<{ pin: string; x: number; y: number }[]>([])
const photograph = computed(() => all.value.photographs.find(p => p.id === photographId.value)!)
const id = useId()
const { submitCommand: register, busy, failure } = useCommand('register-board', () => props.sheet.tag)
watch(photographId, () => ([pairs.value, at.value] = [[], undefined]))

function point(event: MouseEvent) {
  const { left, top, width, height } = (event.currentTarget as HTMLElement).getBoundingClientRect()
  // Before the picture has come there is nothing to point at.
  if (width > 0 && height > 0) at.value = { x: (event.clientX - left) / width, y: (event.clientY - top) / height }
}
const steps: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
function key(event: KeyboardEvent) {
  const step = steps[event.key]
  if (!step) return
  event.preventDefault()
  const by = event.shiftKey ? 0.05 : 0.004
  const from = at.value ?? { x: 0.5, y: 0.5 }
  const inside = (v: number) => Math.min(1, Math.max(0, v))
  at.value = { x: inside(from.x + step[0] * by), y: inside(from.y + step[1] * by) }
}
function add() {
  if (!at.value || !pin.value.trim()) return
  pairs.value = [...pairs.value.filter(p => p.pin !== pin.value.trim()), { pin: pin.value.trim(), ...at.value }]
  ;[pin.value, at.value] = ['', undefined]
}
async function send() {
  const { result, fields } = await register({ boardId: boardId.value, photographId: photographId.value, perspective: perspective.value, pairs: pairs.value })
  if (fields) failure.value = Object.values(fields)[0] ?? failure.value
  if (result !== undefined) emit('done')
}
const spot = (p: { x: number; y: number }) => ({ left: `${p.x * 100}%`, top: `${p.y * 100}%` })
</script>

<template>
  <div class="grid gap-3">
    <p class="hint">
      Type a pin, press where it is on the photograph, add it. Three or more, far apart; a fourth tells how well it fits, and lets a slanted picture be
      straightened.
    </p>
    <div class="grid gap-3 sm:grid-cols-2">
      <SelectField v-model="boardId" label="Board" :options="all.boards.map(b => ({ value: b.id, label: `${b.name}${b.issue && `, issue ${b.issue}`}` }))" />
      <SelectField v-model="photographId" label="Photograph" :options="all.photographs.map(p => ({ value: p.id, label: p.caption }))" />
    </div>
    <div
      class="relative w-full cursor-crosshair border border-line"
      role="application"
      tabindex="0"
      aria-label="Photograph: press where the pin is, or move the cross with the arrow keys, with Shift further"
      @click="point"
      @keydown="key"
    >
      <img :src="photographUrl(photograph.hash, 'working')" :alt="photograph.caption" class="w-full" draggable="false" />
      <span v-for="one in pairs" :key="one.pin" class="pointer-events-none absolute" :style="spot(one)">
        <span class="absolute h-4 w-4 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white outline-1 outline-black" />
        <span class="figure absolute top-1 left-2 bg-card px-1 text-xs">{{ one.pin }}</span>
      </span>
      <span v-if="at" class="pointer-events-none absolute" :style="spot(at)">
        <span class="absolute h-8 w-0.5 -translate-x-1/2 -translate-y-1/2 bg-white outline-1 outline-black" /><span
          class="absolute h-0.5 w-8 -translate-x-1/2 -translate-y-1/2 bg-white outline-1 outline-black"
        />
      </span>
    </div>
    <div class="flex flex-wrap items-end gap-3">
      <FieldFrame :id="id" label="Pin" hint="Such as IC1.1" class="max-w-48"
        ><input :id="id" v-model="pin" class="entry figure" autocomplete="off" @keydown.enter.prevent="add"
      /></FieldFrame>
      <button type="button" class="button" :disabled="!at || !pin.trim()" @click="add">Add this place</button>
    </div>
    <ul v-if="pairs.length" class="flex flex-wrap gap-2" aria-label="Places">
      <li v-for="one in pairs" :key="one.pin" class="border border-edge px-2">
        <span class="figure">{{ one.pin }}</span>
        <button type="button" class="text-sm underline" @click="pairs = pairs.filter(p => p !== one)">
          Not this<span class="sr-only"> {{ one.pin }}</span>
        </button>
      </li>
    </ul>
    <label class="flex min-h-8 items-center gap-2"
      ><input v-model="perspective" type="checkbox" class="h-5 w-5 accent-enamel" />The camera was held at a slant (four places at least)</label
    >
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <button type="button" class="button button-main w-fit" :disabled="busy || pairs.length < (perspective ? 4 : 3)" @click="send">Find the board on it</button>
  </div>
</template>
