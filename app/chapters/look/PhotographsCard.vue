<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { useDropZone } from '@vueuse/core'
import { photographUrl } from '#shared/chapters/look/index'
import type { SheetOf } from '#shared/chapters/index'

/** The photographs of a machine, and the way in for more: dropped, chosen, or taken on the spot. */
const props = defineProps<{ sheet: SheetOf<'look'> }>()
const session = useSession()
const times = useTimes()
const { uploads, add, leave, again, clear } = useUploads(() => props.sheet.tag)
const card = useTemplateRef<HTMLElement>('card')
const { isOverDropZone } = useDropZone(card, { onDrop: files => session.may('add-photograph') && files && add(files), preventDefaultForUnhandled: true })
const marksOn = (photographId: number) => props.sheet.damages.filter(d => d.photographId === photographId).length
/** The corrosion measured on it last. */
function corrodedOn(photographId: number) {
  const last = props.sheet.corrosions.findLast(c => c.photographId === photographId)
  return last ? `${last.areaPct.toFixed(1)} % ± ${last.errorPct.toFixed(1)} corroded` : ''
}
</script>

<template>
  <div ref="card">
    <OneCard
      title="Photographs"
      :state="sheet.photographs.length ? 'done' : 'open'"
      :result="counted(sheet.photographs.length, 'photograph')"
      stays
      hint="Before you touch anything: wiring, orientation, screws that differ."
      :class="isOverDropZone && 'outline-3 outline-enamel'"
    >
      <template v-if="session.may('add-photograph')" #aside>
        <PictureInputs take="Take one now" choose="Add photographs" @chosen="add" />
      </template>
      <UploadList :uploads="uploads" :leave="leave" :again="again" :clear="clear" />
      <EmptyPlace
        v-if="!sheet.photographs.length"
        :says="
          session.may('add-photograph')
            ? 'No photograph yet. Drop some here, or press Add photographs. JPEG, PNG or WebP, up to 30 MB each.'
            : 'No photograph yet.'
        "
      />
      <ul v-else class="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-3">
        <li v-for="photograph in sheet.photographs" :key="photograph.id" class="relative grid content-start gap-1">
          <img :src="photographUrl(photograph.hash, 'thumb')" alt="" loading="lazy" class="aspect-4/3 w-full border border-line bg-mat object-cover" />
          <!-- The whole picture can be pressed; the link is its name. -->
          <NuxtLink :to="`/m/${sheet.tag}/photo/${photograph.id}`" class="font-semibold wrap-anywhere text-ink after:absolute after:inset-0">{{
            photograph.caption || photograph.name
          }}</NuxtLink>
          <span class="hint">{{
            [
              photograph.portrait ? 'Its portrait' : '',
              photograph.assembly,
              photograph.takenAt ? times.day(`${photograph.takenAt}Z`) : times.day(photograph.at),
              marksOn(photograph.id) ? `${marksOn(photograph.id)} marked` : '',
              corrodedOn(photograph.id),
            ]
              .filter(Boolean)
              .join(' · ')
          }}</span>
        </li>
      </ul>
    </OneCard>
  </div>
</template>
