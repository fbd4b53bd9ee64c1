<script setup lang="ts">
import { PhCaretDown, PhCaretRight } from '~/kernel/signs/icons'
import type { CardState } from '~/kernel/sheet/stageParts'

/**
 * A job card with its heading and, at the right of it, what can be done with it as a whole.
 * On a stage it says how it stands: what is done or does not apply is folded to one line with its result when the stage is opened,
 * and never under somebody's hands.
 */
const props = defineProps<{
  title: string
  hint?: string
  /** How it stands; without one it is no part of a stage's index. */
  state?: CardState
  /** What came of it, in a few words; for the folded line. */
  result?: string
  /** What the index calls it, where its title is long. */
  short?: string
  /** Comes after something that is still to be done, so that it is folded though it is open. */
  later?: boolean
  /** Stays unfolded however it stands. */
  stays?: boolean
  /** Is beside the work, or one of many on its page: a phone shows it as its line until somebody opens it. */
  beside?: boolean
}>()
const id = useId()
const parts = inject(stagePartsKey, undefined)
// On a phone one card is tall, the first in which something is left to do; of the others the line with their result stands.
const small = onPhone() && parts !== undefined
const lineOnly = onPhone() && props.beside
const folds = computed(() => lineOnly || (props.state !== undefined && (small || !props.stays)))
const open = ref(!folds.value || (props.state === 'open' && !props.later && !(small && parts?.some(part => part.tall))))
// What cannot be folded any more is open: it would have nothing to be opened by.
watch(folds, now => !now && (open.value = true))
const card = useTemplateRef<HTMLElement>('card')

/** Brings it into sight, unfolded, with the cursor on its heading. */
function show() {
  open.value = true
  void nextTick(() => {
    card.value?.scrollIntoView({ block: 'start' })
    const heading = card.value?.querySelector('h2')
    ;(heading?.querySelector('button') ?? heading)?.focus({ preventScroll: true })
  })
}
if (parts && props.state !== undefined) {
  const part = reactive({
    title: props.short ?? props.title,
    tall: open.value,
    state: computed(() => props.state!),
    result: computed(() => props.result ?? ''),
    show,
    card,
  })
  parts.push(part)
  onUnmounted(() => parts.splice(parts.indexOf(part), 1))
}
</script>

<template>
  <section
    ref="card"
    class="card grid scroll-mt-28 content-start gap-3"
    :class="!open && ['folded py-0! pr-6! pl-2!', state === 'none' && 'idle']"
    :aria-labelledby="id"
  >
    <header class="flex flex-wrap items-start justify-between gap-2" :class="!open && 'min-h-10 items-center! gap-y-0! max-wide:py-1 wide:flex-nowrap!'">
      <div :class="open ? 'min-w-0' : 'max-w-full shrink-0'">
        <h2 :id="id" :tabindex="folds ? undefined : -1">
          <button v-if="folds" type="button" class="flex items-center gap-1.5 text-left font-semibold" :aria-expanded="open" @click="open = !open">
            <component :is="open ? PhCaretDown : PhCaretRight" aria-hidden="true" class="h-4 w-4 shrink-0 text-enamel" />{{ title }}
          </button>
          <template v-else>{{ title }}</template>
        </h2>
        <p v-if="hint && open" class="hint">{{ hint }}</p>
      </div>
      <slot v-if="open" name="aside" />
      <p v-else class="ml-auto flex min-w-0 items-center gap-2 text-ink-2">
        <span class="leading-tight first-letter:uppercase" :class="lineOnly ? 'line-clamp-1' : 'line-clamp-2'">{{ result }}</span><StateMark
          v-if="state"
          :state="state"
        />
      </p>
    </header>
    <slot v-if="open" />
  </section>
</template>
