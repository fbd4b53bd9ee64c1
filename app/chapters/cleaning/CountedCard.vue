<script setup lang="ts">
import { photographUrl } from '#shared/chapters/look/index'
import type { SheetOf } from '#shared/chapters/index'

/** Keycaps and other small parts: counted out and counted back, with a photograph for their map. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
const all = computed(() => props.sheet.cleaning.counted)
const out = computed(() => all.value.filter(c => c.back === null))
const back = computed(() => all.value.filter(c => c.back !== null))
const maps = computed(() => [{ value: null, label: 'No photograph' }, ...props.sheet.cleaning.maps.map(p => ({ value: p.id, label: p.caption }))])
const result = computed(() =>
  out.value.length ? `Out: ${out.value.map(c => `${c.out} × ${c.what}`).join('; ')}` : all.value.length ? 'All counted back' : 'Nothing is counted out',
)
const yesNo = [
  { value: false, label: 'Not wanted' },
  { value: true, label: 'The missing ones are wanted' },
]
</script>

<template>
  <OneCard
    title="Small parts"
    :state="out.length ? 'open' : all.length ? 'done' : 'none'"
    :result="result"
    hint="Counted out and counted back. A photograph is the map of where each goes."
  >
    <section v-for="one in out" :key="one.id" class="grid gap-2 border-b border-line pb-2" :aria-label="one.what">
      <p>
        <strong class="figure">{{ one.out }} ×</strong> {{ one.what }} <span class="hint">out since {{ times.day(one.at) }}</span>
      </p>
      <NuxtLink v-if="one.photograph" :to="`/m/${sheet.tag}/photo/${one.photograph.id}`" class="w-fit"
        ><img :src="photographUrl(one.photograph.hash, 'working')" :alt="`Map: ${one.photograph.caption}`" class="max-h-64 border border-line"
      /></NuxtLink>
      <p v-else class="hint">No photograph shows where they go back.</p>
      <CommandForm
        v-if="session.may('count-parts-back')"
        command="count-parts-back"
        :machine="sheet.tag"
        :initial="{ back: '' as never, note: '', wants: false }"
        :fixed="{ countedId: one.id, version: one.version }"
        label="Count back in"
        submit="Save count"
      >
        <template #default="{ values }">
          <div class="grid gap-3 sm:grid-cols-2">
            <TextField name="back" label="How many are back" numeric /><TextField v-if="fewer(values.back, one.out)" name="note" label="Where the rest are" />
          </div>
          <ChoiceField v-if="fewer(values.back, one.out)" name="wants" label="The missing ones" :options="yesNo" />
        </template>
      </CommandForm>
    </section>
    <ul v-if="back.length">
      <li v-for="one in back" :key="one.id">
        {{ one.back === one.out ? `All ${one.out}` : `${one.back} of ${one.out}` }} × {{ one.what }} back
        <span class="hint">{{ one.note }}</span>
      </li>
    </ul>
    <AddPanel v-if="session.may('count-parts-out')" v-slot="{ close }" label="Count parts out" :open="!all.length">
      <CommandForm
        command="count-parts-out"
        :machine="sheet.tag"
        :initial="{ what: '', out: '' as never, photographId: null }"
        label="Count parts out"
        submit="Save"
        @done="close()"
        ><div class="grid gap-3 sm:grid-cols-3">
          <TextField name="what" label="What" hint="Such as keycaps" /><TextField name="out" label="How many" numeric /><PickField
            name="photographId"
            label="Its map"
            :options="maps"
          /></div
      ></CommandForm>
    </AddPanel>
  </OneCard>
</template>
