<script setup lang="ts">
import { photographUrl } from '#shared/chapters/look/index'
import { damageGlyphs } from '~/kernel/signs/damageGlyphs'
import { PhImage } from '~/kernel/signs/icons'
import type { PhotoShape } from '~/chapters/look/PhotoTable.vue'
import type { Drawn } from '~/chapters/look/composables/useDrawing'

/** One photograph on the table: what is marked on it, its scale, and corrosion measured from it. */
const route = useRoute()
const session = useSession()
const times = useTimes()
const tag = computed(() => String(route.params.tag))
const { sheet, trouble } = useSheet(tag, ['look'])
const photograph = computed(() => sheet.value?.photographs.find(p => p.id === Number(route.params.id)))
useHead({ title: () => `${photograph.value?.caption || photograph.value?.name || 'Photograph'} ${tag.value}` })

const modes = [
  { mode: 'marks', name: 'Marks' },
  { mode: 'scale', name: 'Scale' },
  { mode: 'corrosion', name: 'Corrosion' },
] as const
const mode = ref<(typeof modes)[number]['mode']>('marks')
const drawing = useDrawing()
const corrosion = useCorrosion(() => $fetch<Blob>(photographUrl(photograph.value!.hash, 'full'), { responseType: 'blob' }))
const chosen = ref<number>()
const mark = ref<Drawn>()
const ruler = ref<Drawn>()
const describing = ref(false)
const { submitCommand: choose, busy: choosing, failure: notChosen } = useCommand('choose-portrait', tag)
function turnTo(to: (typeof modes)[number]['mode']) {
  drawing.leave()
  mode.value = to
}

const severityInk = { slight: '#9CC8F5', clear: '#FFC861', severe: '#FF9486' }
const shapes = computed<PhotoShape[]>(() => {
  if (!photograph.value || !sheet.value) return []
  const { scale, id } = photograph.value
  if (mode.value === 'marks') {
    return [
      ...sheet.value.damages
        .filter(d => d.photographId === id && d.mark)
        .map(d => ({ key: d.id, ...d.mark!, ink: severityInk[d.severity], glyph: damageGlyphs[d.kind], chosen: chosen.value === d.id })),
      ...(mark.value ? [{ key: 'new', ...mark.value, ink: '#FFFFFF', glyph: mark.value.form === 'point' ? 'M8 2v12M2 8h12' : undefined }] : []),
    ]
  }
  if (mode.value === 'scale')
    return [
      ruler.value
        ? { key: 'new', ...ruler.value, ink: '#FFFFFF' }
        : scale
          ? { key: 'scale', form: 'line' as const, points: [scale.from, scale.to], ink: '#63C7BA' }
          : [],
    ].flat()
  return corrosion.outline.value.length ? [{ key: 'outline', form: 'polygon', points: corrosion.outline.value, ink: '#FFFFFF' }] : []
})
const draft = computed<PhotoShape | null>(() =>
  drawing.active.value && drawing.form.value !== 'point' ? { key: 'draft', form: drawing.form.value, points: drawing.points.value, ink: '#FFFFFF' } : null,
)
const spots = computed(() => (mode.value === 'corrosion' ? corrosion.numberedSpots.value : []))
const others = computed(() => sheet.value?.photographs.filter(p => p.id !== photograph.value?.id) ?? [])
/** Photographs of the same assembly are what one wants beside it; the others come after. */
const comparable = computed(() =>
  [...others.value].sort((a, b) => Number(b.assemblyId === photograph.value?.assemblyId) - Number(a.assemblyId === photograph.value?.assemblyId)),
)
</script>

<template>
  <p v-if="trouble" role="alert" class="card">{{ trouble }} <NuxtLink to="/store">Look in the store.</NuxtLink></p>
  <p v-else-if="!sheet" role="status" class="hint">Fetching the sheet…</p>
  <p v-else-if="!photograph" class="card">
    There is no such photograph, or it was struck. <NuxtLink :to="`/m/${tag}?stage=look`">Back to the machine.</NuxtLink>
  </p>
  <div v-else class="grid gap-3">
    <header class="flex flex-wrap items-start gap-x-4 gap-y-1">
      <div class="min-w-0 flex-1">
        <p>
          <NuxtLink :to="`/m/${tag}?stage=look`">{{ sheet.identity.nickname || sheet.identity.name }}</NuxtLink>{{ ' ' }}
          <TagTape :tag="tag" small class="align-middle" />
        </p>
        <h1 class="truncate">{{ photograph.caption || photograph.name }}</h1>
        <p class="hint">
          {{
            [
              photograph.assembly,
              photograph.takenAt ? `taken ${times.exact(`${photograph.takenAt}Z`)} by the camera’s clock` : '',
              `added by ${photograph.by}, ${times.day(photograph.at)}`,
              `${photograph.widthPx} × ${photograph.heightPx}`,
            ]
              .filter(Boolean)
              .join(' · ')
          }}
        </p>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <button
          v-if="session.may('describe-photograph')"
          type="button"
          class="button button-quiet"
          :aria-expanded="describing"
          @click="describing = !describing"
        >
          Describe it
        </button>
        <button
          v-if="session.may('choose-portrait')"
          type="button"
          class="button button-quiet"
          :disabled="choosing"
          :title="photograph.portrait ? undefined : 'It stands on its sheet, in the store, on its model and on its passport'"
          @click="choose({ photographId: photograph.id, chosen: !photograph.portrait })"
        >
          <PhImage aria-hidden="true" />{{ photograph.portrait ? 'Take off as portrait' : 'Make it the portrait' }}
        </button>
        <span v-if="photograph.portrait" class="hint">On its sheet, in the store, on its model and its passport</span>
        <span v-if="notChosen" role="alert" class="text-stop">{{ notChosen }}</span>
        <span v-if="comparable.length" class="flex items-center gap-2"
          ><label for="compare-with" class="hint">Compare with</label
          ><select
            id="compare-with"
            class="entry w-48"
            :value="''"
            @change="e => navigateTo(`/m/${tag}/compare?a=${photograph!.id}&b=${(e.target as HTMLSelectElement).value}`)"
          >
            <option value="" disabled>Choose</option>
            <option v-for="other in comparable" :key="other.id" :value="other.id">
              {{ [other.assembly, other.caption || other.name].filter(Boolean).join(': ') }}
            </option>
          </select></span
        >
      </div>
    </header>
    <CommandForm
      v-if="describing"
      command="describe-photograph"
      :machine="tag"
      :initial="{ caption: photograph.caption, assemblyId: photograph.assemblyId }"
      :fixed="{ photographId: photograph.id, version: photograph.version }"
      :words="{ caption: 'Caption', assemblyId: 'Assembly' }"
      label="Describe the photograph"
      submit="Save"
      keeps
      class="card"
      @done="describing = false"
      ><div class="grid gap-3 sm:grid-cols-2">
        <TextField name="caption" label="Caption" /><PickField name="assemblyId" label="Of which assembly" :options="assemblyChoices(sheet)" /></div
    ></CommandForm>
    <div class="grid items-start gap-4 wide:grid-cols-[minmax(0,1fr)_20rem]">
      <PhotoTable
        class="h-[65dvh] wide:h-[calc(100dvh-12.5rem)]"
        :src="photographUrl(photograph.hash, 'working')"
        :name="photograph.caption || photograph.name"
        :width-px="photograph.widthPx"
        :height-px="photograph.heightPx"
        :shapes="shapes"
        :draft="draft"
        :spots="spots"
        :overlay="mode === 'corrosion' ? corrosion.overlay.value : null"
        :drawing="drawing.active.value"
        @point="drawing.add"
        @undo="drawing.undo"
        @finish="drawing.finish"
        @leave="drawing.leave"
        @pick="key => typeof key === 'number' && (chosen = chosen === key ? undefined : key)"
      />
      <section
        class="card grid content-start gap-3 wide:max-h-[calc(100dvh-10rem)] wide:overflow-x-hidden wide:overflow-y-auto"
        aria-label="Beside the photograph"
      >
        <div role="group" aria-label="What to do with it" class="flex pl-px">
          <button
            v-for="m in modes"
            :key="m.mode"
            type="button"
            class="choice"
            :aria-pressed="mode === m.mode"
            :class="mode === m.mode && 'bg-enamel! text-on-enamel!'"
            @click="turnTo(m.mode)"
          >
            {{ m.name }}
          </button>
        </div>
        <MarksPanel v-if="mode === 'marks'" v-model:chosen="chosen" v-model:drawn="mark" :sheet="sheet" :photograph="photograph" :drawing="drawing" />
        <ScalePanel v-else-if="mode === 'scale'" v-model:drawn="ruler" :sheet="sheet" :photograph="photograph" :drawing="drawing" />
        <CorrosionPanel v-else :sheet="sheet" :photograph="photograph" :drawing="drawing" :corrosion="corrosion" />
      </section>
    </div>
  </div>
</template>
