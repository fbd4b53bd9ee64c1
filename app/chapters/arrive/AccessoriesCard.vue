<script setup lang="ts">
import { isMedia } from '#core/identify/kit'
import type { SheetOf } from '#shared/chapters/index'

/** What came with it, against the model's usual kit; what is missing becomes a part wanted in one press. */
const props = defineProps<{ sheet: SheetOf<'arrive'> }>()
const session = useSession()
const missing = computed(() => props.sheet.kit.filter(item => !item.came))
const media = computed(() => props.sheet.accessories.some(a => isMedia(a.name)))
const { submitCommand: want, busy, failure } = useCommand('want-part', () => props.sheet.tag)
</script>

<template>
  <OneCard
    title="Came with it"
    :state="sheet.accessories.length && missing.every(m => m.wanted) ? 'done' : 'open'"
    :result="sheet.accessories.map(a => a.name).join(', ') || 'Nothing noted'"
    stays
  >
    <EmptyPlace v-if="!sheet.accessories.length" says="Nothing noted. Count the supply, leads, manuals, media and packing." />
    <ul v-else class="ml-5 list-disc">
      <li v-for="thing in sheet.accessories" :key="thing.id">{{ thing.name }}</li>
    </ul>
    <CautionNote v-if="media" about="media" />
    <section v-if="missing.length" aria-label="Missing from the usual kit" class="grid gap-1 border-t border-line pt-2">
      <h3>Missing from the usual kit</h3>
      <ul class="grid gap-2">
        <li v-for="item in missing" :key="item.name" class="grid gap-1">
          <span>{{ item.name }} <span v-if="item.wanted" class="hint">on the list of parts wanted</span></span>
          <span v-if="!item.wanted && session.may('want-part')" class="flex flex-wrap gap-1"
            ><button type="button" class="button" :disabled="busy" @click="want({ name: item.name, quantity: 1, stops: 'start' })">
              Needed before power-up<span class="sr-only"> {{ item.name }}</span></button
            ><button type="button" class="button" :disabled="busy" @click="want({ name: item.name, quantity: 1, stops: 'no-start' })">
              Needed, but starts without<span class="sr-only"> {{ item.name }}</span>
            </button></span
          >
        </li>
      </ul>
      <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    </section>
    <p v-else-if="sheet.kit.length" class="hint">The usual kit is complete.</p>
    <AddPanel v-if="session.may('note-accessory')" label="Note something"
      ><CommandForm command="note-accessory" :machine="sheet.tag" :initial="{ name: '' }" label="Note something" submit="Save"
        ><TextField name="name" label="What came with it" /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
