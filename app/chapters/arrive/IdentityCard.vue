<script setup lang="ts">
import { writtenDay } from '#core/kernel/days'
import { PhPencilSimple } from '~/kernel/signs/icons'
import type { SheetOf } from '#shared/chapters/index'
import { acquisitionNames, acquisitions } from '#shared/kernel/acquisitions'

/** What it is, whose it is, when it last ran. */
const props = defineProps<{ sheet: SheetOf<'arrive'> }>()
const session = useSession()
const times = useTimes()
const editing = ref(false)
const words = {
  name: 'Model or description',
  maker: 'Maker',
  nickname: 'Nickname',
  serial: 'Serial number',
  variant: 'Board issue or variant',
  weightKg: 'Weight in kg',
  place: 'Location',
  acquired: 'How it came',
  fromWhom: 'From whom',
  owner: 'Whose it is',
  lastPowered: 'Last powered',
  lastPoweredBy: 'By whom',
  lastPoweredWhat: 'What happened',
}
const typed = computed(() => {
  const { version: _, ...identity } = props.sheet.identity
  return identity
})
const rows = computed(() => {
  const { acquired, fromWhom, owner, serial, variant, weightKg, place, lastPowered, lastPoweredBy, lastPoweredWhat } = props.sheet.identity
  return [
    ['How it came', `${acquisitionNames[acquired]}, from ${fromWhom}`],
    ['Whose it is', owner],
    ['Serial number', serial],
    ['Board issue or variant', variant],
    ['Weight', weightKg === null ? '' : `${weightKg} kg`],
    ['Location', place],
    ['Last powered', [writtenDay(lastPowered), lastPoweredBy && `by ${lastPoweredBy}`, lastPoweredWhat].filter(Boolean).join(', ')],
    ['Booked in', times.day(props.sheet.bookedInAt)],
    ['About the model', props.sheet.about],
  ].map(([label, value]) => ({ label: label!, value: value || 'Not noted' }))
})
</script>

<template>
  <OneCard title="What it is" state="done" :result="[sheet.identity.name, sheet.identity.serial].filter(Boolean).join(', ')" stays>
    <template v-if="session.may('correct-identity')" #aside
      ><button type="button" class="button button-quiet" :aria-expanded="editing" @click="editing = !editing">
        <PhPencilSimple aria-hidden="true" />{{ editing ? 'Leave it' : 'Correct it' }}
      </button></template
    >
    <CommandForm
      v-if="editing"
      command="correct-identity"
      :machine="sheet.tag"
      :initial="typed"
      :fixed="{ version: sheet.identity.version }"
      :words="words"
      label="Correct the identity"
      submit="Save"
      keeps
      @done="editing = false"
    >
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField
          v-for="name in ['name', 'maker', 'nickname', 'serial', 'variant', 'weightKg', 'place'] as const"
          :key="name"
          :name="name"
          :label="words[name]"
        />
        <ChoiceField
          name="acquired"
          label="How it came"
          :options="acquisitions.map(value => ({ value, label: acquisitionNames[value] }))"
          class="sm:col-span-2"
        />
        <TextField v-for="name in ['fromWhom', 'owner', 'lastPowered', 'lastPoweredBy'] as const" :key="name" :name="name" :label="words[name]" />
        <TextField name="lastPoweredWhat" :label="words.lastPoweredWhat" :lines="2" class="sm:col-span-2" />
      </div>
    </CommandForm>
    <dl v-else class="grid grid-cols-2 gap-x-6 gap-y-1.5 sm:grid-cols-3">
      <div v-for="row in rows" :key="row.label">
        <dt class="hint">{{ row.label }}</dt>
        <dd :class="row.value === 'Not noted' && 'text-ink-2'">{{ row.value }}</dd>
      </div>
    </dl>
    <CommandForm
      v-if="sheet.joins && session.may('join-model')"
      command="join-model"
      :machine="sheet.tag"
      :initial="{}"
      :fixed="{ modelId: sheet.joins.modelId }"
      label="Its model"
      :submit="`It is a ${sheet.joins.name}`"
      class="border-l-4 border-note bg-note-wash p-2"
    >
      <p>
        <NuxtLink :to="`/models/${sheet.joins.modelId}`">{{ sheet.joins.name }}</NuxtLink> is among the models now. Once you say that this is one, its rails,
        its inlet and what it is known for hold here too, and the gate is looked at again.
      </p>
    </CommandForm>
    <div v-if="sheet.sisters.length" class="border-t border-line pt-2">
      <p class="hint">Sisters in the collection</p>
      <p class="flex flex-wrap gap-x-4 gap-y-1">
        <NuxtLink v-for="sister in sheet.sisters" :key="sister.tag" :to="`/m/${sister.tag}`"
          >{{ sister.nickname || sister.tag }}<span v-if="sister.batteryLeaked" class="text-stop"> (battery leaked)</span></NuxtLink
        ><span v-if="sheet.sistersInAll > sheet.sisters.length" class="hint">and {{ sheet.sistersInAll - sheet.sisters.length }} more</span>
      </p>
    </div>
  </OneCard>
</template>
