<script setup lang="ts">
import { useWindowScroll } from '@vueuse/core'
import { type StagePart, cautionsKey, gateKey, stagePartsKey } from './stageParts'

/** A stage: the index of its cards with how each stands, always in sight, and beside it what decides; then the cards in the order of the work. */
const parts = reactive<StagePart[]>([])
provide(stagePartsKey, parts as StagePart[])
// A caution is said in full once on a stage, where it comes first.
provide(cautionsKey, reactive([]))
const { y } = useWindowScroll()
/** The head of the sheet, which says the verdict too, is out of sight. */
const scrolled = computed(() => y.value > 130)
const gate = inject(gateKey, undefined)
const route = useRoute()
const router = useRouter()
/** The card that was asked for by its name comes into sight once it is there; the address goes back to the stage alone, so that it can be asked again. */
watch(
  () => [route.query.card, parts.find(part => part.title === route.query.card)] as const,
  ([asked, part]) => {
    if (!asked || !part?.card) return
    part.show()
    const { card: _, ...query } = route.query
    void router.replace({ query })
  },
  { flush: 'post', immediate: true },
)
const index = useTemplateRef<HTMLElement>('index')
/** The index is one line: a wheel turned over it goes along it. */
const sideways = (event: WheelEvent) => void (index.value!.scrollLeft += event.deltaY)
/** In the order in which they stand on the page, whichever came first. */
const inOrder = computed(() =>
  [...parts].sort((a, b) => (a.card && b.card ? (a.card.compareDocumentPosition(b.card) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1) : 0)),
)
</script>

<template>
  <div class="stage grid gap-x-2 gap-y-1">
    <div class="sticky top-12 z-20 -mx-1 flex items-center gap-x-2 border-b border-line bg-mat px-1">
      <slot name="decides" :scrolled="scrolled"
        ><GateSign v-if="scrolled && gate" :verdict="gate.inForce" :overruled="gate.overruled" small class="shrink-0"
      /></slot>
      <!-- One line, however many cards: what does not fit is reached by its side. -->
      <nav ref="index" aria-label="In this stage" class="index relative flex min-w-0 flex-1 overflow-x-auto text-sm" @wheel.passive="sideways">
        <button
          v-for="part in inOrder"
          :key="part.title"
          type="button"
          class="flex min-h-8 shrink-0 items-center gap-1 px-1.5 whitespace-nowrap hover:bg-card max-wide:min-h-11"
          :class="part.state === 'open' ? 'font-semibold' : 'text-ink-2'"
          :title="part.result"
          @click="part.show()"
        >
          <StateMark :state="part.state" />{{ part.title }}
        </button>
      </nav>
    </div>
    <slot />
  </div>
</template>

<style scoped>
/* What goes on beyond its edge fades out there. */
.index {
  scrollbar-width: none;
  padding-right: 1.5rem;
  mask-image: linear-gradient(to right, #000 calc(100% - 1.5rem), transparent);
}
.stage {
  grid-template-columns: repeat(2, minmax(0, 1fr));
  grid-auto-flow: dense;
}
.stage > :deep(*) {
  grid-column: 1 / -1;
}
.stage > :deep(:not(.folded)) {
  margin-block: 0.25rem;
}
/* Folded cards lie close together, and those of which nothing applies stand two in a row. */
@media (width >= 56.25rem) {
  .stage :deep(.folded h2) {
    white-space: nowrap;
  }
  .stage > :deep(.folded.idle) {
    grid-column: auto;
  }
  /* The last of an odd number would stand alone in its row. */
  .stage > :deep(:nth-child(odd of .folded.idle):not(:has(~ .folded.idle))) {
    grid-column: 1 / -1;
  }
}
</style>
