<script setup lang="ts">
import { acquisitionNames } from '#shared/kernel/acquisitions'

/** Labels for machines as they come in: the tag, a code that opens the sheet, where it stands. Each of 90 × 50 mm, ten on a page, cut along the marks. */
const props = defineProps<{ tags: string[] }>()
const session = useSession()
const times = useTimes()
const { addressOf } = useMachineAddress()
const { list, trouble } = useMachineList(() => ({ tags: props.tags.join(','), sort: 'oldest', size: 100 }))
const missing = computed(() => (list.value ? props.tags.filter(tag => !list.value!.rows.some(m => m.tag === tag)) : []))
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <p v-else-if="!list" role="status" class="hint">Fetching…</p>
  <template v-else>
    <p v-if="missing.length" class="no-print text-care">There is no machine with the tag {{ missing.join(', ') }}.</p>
    <ul class="labels">
      <li v-for="machine in list.rows" :key="machine.tag" class="label grid grid-cols-[1fr_auto] gap-2 overflow-hidden bg-white text-black">
        <div class="grid min-w-0 content-start gap-0.5 overflow-hidden">
          <TagTape :tag="machine.tag" class="justify-self-start" />
          <!-- First, so that no long name pushes it off the label. -->
          <p class="text-xs font-semibold">Do not plug in. Ask first.</p>
          <p class="line-clamp-2 font-display text-lg/tight font-semibold wrap-anywhere">{{ machine.nickname || machine.name }}</p>
          <p class="truncate text-xs">{{ machine.name }}{{ machine.maker && `, ${machine.maker}` }}</p>
          <p class="line-clamp-2 text-xs">
            {{ acquisitionNames[machine.acquired] }}, {{ times.day(machine.bookedInAt) }}{{ machine.place && `; ${machine.place}` }}
          </p>
          <p class="truncate text-xs">{{ session.collection?.name }}</p>
        </div>
        <QrCode :text="addressOf(machine.tag)" class="h-[30mm] w-[30mm]" />
      </li>
    </ul>
  </template>
</template>

<style scoped>
.labels {
  display: grid;
  grid-template-columns: repeat(auto-fill, 90mm);
  gap: 4mm;
}
.label {
  position: relative;
  width: 90mm;
  height: 50mm;
  padding: 4mm;
}
/* Where to cut: a corner stroke on each side, outside of what is written. */
.label::before,
.label::after {
  position: absolute;
  inset: 0;
  content: '';
  pointer-events: none;
  --stroke: linear-gradient(#000, #000);
  background:
    var(--stroke) 0 0 / 3mm 0.2mm,
    var(--stroke) 0 0 / 0.2mm 3mm,
    var(--stroke) 100% 0 / 3mm 0.2mm,
    var(--stroke) 100% 0 / 0.2mm 3mm;
  background-repeat: no-repeat;
  print-color-adjust: exact;
}
.label::after {
  transform: scaleY(-1);
}
@media (max-width: 480px) {
  .labels {
    grid-template-columns: minmax(0, 1fr);
  }
  .label {
    width: auto;
  }
}
@media print {
  .labels {
    grid-template-columns: repeat(2, 90mm);
    gap: 0;
  }
}
</style>
