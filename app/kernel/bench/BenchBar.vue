<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { PhMagnifyingGlass, PhX } from '~/kernel/signs/icons'

/** At the bottom of a phone, under the thumb: what the hand needs at the bench, for whatever machine is open. */
const bench = useBenchSheets()
const session = useSession()
const route = useRoute()
const open = computed(() => bench.open.value)
/** The machine that is open, or the one found for this sheet. */
const found = ref('')
const tag = computed(() => String(route.params.tag ?? '') || found.value)
const offered = computed(() => bench.sheets.value.filter(sheet => session.may(sheet.may)))
const shown = computed(() => bench.sheets.value.find(sheet => sheet.name === open.value))
const close = () => {
  bench.open.value = undefined
  found.value = ''
}
watch(() => route.path, close)
</script>

<template>
  <nav
    v-if="session.person"
    aria-label="At the bench"
    class="bar no-print fixed inset-x-0 bottom-0 z-30 grid grid-flow-col overflow-x-auto border-t border-edge bg-card"
  >
    <button
      v-for="sheet in offered"
      :key="sheet.name"
      type="button"
      class="grid min-h-14 justify-items-center gap-0.5 py-1.5 text-xs"
      @click="bench.open.value = sheet.name"
    >
      <component :is="sheet.icon" aria-hidden="true" class="h-6 w-6 text-enamel" />{{ sheet.title }}
    </button>
    <button type="button" class="grid min-h-14 justify-items-center gap-0.5 py-1.5 text-xs" @click="bench.open.value = 'find'">
      <PhMagnifyingGlass aria-hidden="true" class="h-6 w-6 text-enamel" />Find
    </button>
  </nav>
  <Dialog :open="open !== undefined" class="relative z-50" @close="close">
    <div class="fixed inset-0 bg-ink/40 dark:bg-black/60" aria-hidden="true" />
    <DialogPanel class="panel fixed grid content-start gap-2 overflow-y-auto border-t-4 border-enamel bg-card p-3">
      <header class="flex items-center gap-2">
        <DialogTitle as="h2">{{ shown?.title ?? 'Find' }}</DialogTitle>
        <TagTape v-if="tag && shown" :tag="tag" small />
        <button type="button" class="button button-quiet ml-auto" @click="close"><PhX aria-hidden="true" />Close</button>
      </header>
      <TakeBackLine v-if="shown" />
      <LazyMachineFinder v-if="open === 'find'" wide @opened="close" />
      <template v-else-if="shown && !tag">
        <p class="hint">Of which machine?</p>
        <LazyMachineFinder wide picks @picked="picked => (found = picked)" />
      </template>
      <component :is="shown.view" v-else-if="shown" :key="tag" :tag="tag" @done="close" />
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
/* With large letters its words take more than the width of a phone: then it is moved sideways, and none is printed over the next. */
.bar {
  grid-template-columns: none;
  grid-auto-columns: minmax(max-content, 1fr);
}
.bar {
  padding-bottom: env(safe-area-inset-bottom);
}
.panel {
  inset: auto 0 0;
  max-height: 92dvh;
  padding-bottom: calc(0.75rem + env(safe-area-inset-bottom));
}
@media (width >= 56.25rem) {
  .bar {
    display: none;
  }
  .panel {
    inset: auto 1.5rem 1.5rem auto;
    width: 34rem;
  }
}
</style>
