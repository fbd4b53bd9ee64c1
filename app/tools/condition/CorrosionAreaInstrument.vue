<script setup lang="ts">
import { PhImage } from '~/kernel/signs/icons'
import { type CorrosionArea, defaultThreshold } from '#core/condition/corrosion-area'
import type { PhotoShape } from '~/chapters/look/PhotoTable.vue'

/** Corrosion measured on a picture that stays in this browser. */
defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const id = useId()
const picture = shallowRef<{ file: File; url: string; widthPx: number; heightPx: number }>()
const trouble = ref('')
const steel = ref(false)
const widthMm = ref('')
const drawing = useDrawing()
const corrosion = useCorrosion(async () => picture.value!.file)

async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const bitmap = await createImageBitmap(file)
    if (picture.value) URL.revokeObjectURL(picture.value.url)
    drawing.leave()
    corrosion.cancel()
    corrosion.begin({ outline: [], corroded: [], sound: [], threshold: defaultThreshold })
    picture.value = { file, url: URL.createObjectURL(file), widthPx: bitmap.width, heightPx: bitmap.height }
    trouble.value = ''
    bitmap.close()
  } catch {
    trouble.value = `${file.name} is no picture that can be read here. JPEG, PNG and WebP do.`
  }
}
onUnmounted(() => picture.value && URL.revokeObjectURL(picture.value.url))

const shapes = computed<PhotoShape[]>(() =>
  corrosion.outline.value.length ? [{ key: 'outline', form: 'polygon', points: corrosion.outline.value, ink: '#FFFFFF' }] : [],
)
const draft = computed<PhotoShape | null>(() =>
  drawing.active.value && drawing.form.value !== 'point' ? { key: 'draft', form: drawing.form.value, points: drawing.points.value, ink: '#FFFFFF' } : null,
)
const spots = computed(() => corrosion.numberedSpots.value)
/** With the width of the picture in millimetres, an area has square millimetres. */
function mm2({ corrodedPx }: CorrosionArea) {
  const width = Number(widthMm.value.replace(',', '.'))
  return widthMm.value.trim() && width > 0 && picture.value ? corrodedPx * (width / picture.value.widthPx) ** 2 : null
}
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
    <OneCard title="The picture" hint="It is measured here and sent nowhere.">
      <template #aside
        ><label class="button focus-within:outline-3 focus-within:outline-enamel" :for="`${id}-file`"
          ><PhImage aria-hidden="true" />Choose a picture<input
            :id="`${id}-file`"
            class="sr-only"
            type="file"
            accept="image/jpeg,image/png,image/webp"
            @change="choose" /></label
      ></template>
      <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
      <EmptyPlace v-if="!picture" says="Choose a photograph of a corroded surface; touch a few spots of each kind, and the area will appear beside it." />
      <PhotoTable
        v-else
        class="h-[60dvh]"
        :src="picture.url"
        :name="picture.file.name"
        :width-px="picture.widthPx"
        :height-px="picture.heightPx"
        :shapes="shapes"
        :draft="draft"
        :spots="spots"
        :overlay="corrosion.overlay.value"
        :drawing="drawing.active.value"
        @point="drawing.add"
        @undo="drawing.undo"
        @finish="drawing.finish"
        @leave="drawing.leave"
      />
    </OneCard>
    <OneCard v-if="picture" title="Measure">
      <CorrosionSteps :corrosion="corrosion" :drawing="drawing">
        <template #default="{ area }">
          <label :for="`${id}-steel`" class="flex items-center gap-2"
            ><input :id="`${id}-steel`" v-model="steel" type="checkbox" class="h-5 w-5 accent-enamel" />Rust on steel</label
          >
          <FieldFrame :id="`${id}-width`" label="Width of the picture in mm" hint="Where it is known; then the area has mm²"
            ><input :id="`${id}-width`" v-model="widthMm" class="entry reading" inputmode="decimal" autocomplete="off" :aria-describedby="`${id}-width-hint`"
          /></FieldFrame>
          <CorrosionVerdict :area="area" :steel="steel" :area-mm2="mm2(area)" />
        </template>
      </CorrosionSteps>
    </OneCard>
  </div>
</template>
