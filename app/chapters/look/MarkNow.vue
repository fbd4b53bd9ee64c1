<script setup lang="ts">
import { damageKinds, severityNames } from '#core/condition/damage'
import { photographUrl } from '#shared/chapters/look/index'
import { damageGlyphs } from '~/kernel/signs/damageGlyphs'
import type { PhotoShape } from '~/chapters/look/PhotoTable.vue'
import type { Drawn } from '~/chapters/look/composables/useDrawing'

/** A photograph that was just taken: press where the damage is, say what it is, save; then the next place. */
const props = defineProps<{ tag: string; photographId: number }>()
const { sheet, trouble } = useSheet(() => props.tag, ['look'])
const photograph = computed(() => sheet.value?.photographs.find(p => p.id === props.photographId))
const marks = computed(() => (sheet.value?.damages ?? []).filter(d => d.photographId === props.photographId && d.mark))
const drawing = useDrawing()
const drawn = ref<Drawn>()
function press() {
  drawn.value = undefined
  drawing.begin('mark', 'point', result => (drawn.value = result))
}
watch(() => props.photographId, press, { immediate: true })
const plus = 'M8 2v12M2 8h12'
const shapes = computed<PhotoShape[]>(() => [
  ...marks.value.map(d => ({ key: d.id, ...d.mark!, ink: '#FFC861', glyph: damageGlyphs[d.kind] })),
  ...(drawn.value ? [{ key: 'new', ...drawn.value, ink: '#FFFFFF', glyph: plus }] : []),
])
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <p v-else-if="!sheet || !photograph" role="status" class="hint">Fetching the photograph…</p>
  <div v-else class="grid gap-2">
    <p role="status" class="font-semibold">
      {{ drawn ? 'What is it?' : marks.length ? 'Saved. Press the next place, or close.' : 'Damage on it? Press the place.' }}
    </p>
    <LazyPhotoTable
      class="h-[38dvh]"
      :src="photographUrl(photograph.hash, 'working')"
      :name="photograph.caption || photograph.name"
      :width-px="photograph.widthPx"
      :height-px="photograph.heightPx"
      :shapes="shapes"
      :drawing="drawing.active.value"
      @point="drawing.add"
      @undo="drawing.undo"
      @finish="drawing.finish"
      @leave="drawing.leave"
    />
    <NewMark v-if="drawn" :sheet="sheet" :photograph="photograph" :drawn="drawn" @done="press" @left="press" />
    <p v-else-if="marks.length" class="hint">{{ marks.map(m => `${damageKinds[m.kind]}, ${severityNames[m.severity].toLowerCase()}`).join('; ') }}.</p>
    <p class="hint"><NuxtLink :to="`/m/${tag}/photo/${photographId}`">Outline, scale and corrosion</NuxtLink> are on its own page.</p>
  </div>
</template>
