<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { PhMinus, PhPlus } from '~/kernel/signs/icons'

/** A form that stays out of the way until it is wanted. */
const props = defineProps<{ label: string; open?: boolean }>()
provide(panelKey, props.label)
const drafts = useDrafts()
const route = useRoute()
/** Something was typed in here on this page, and not sent yet. */
const draft = computed(() => drafts.mine.some(d => d.panel === props.label && d.path.split('?')[0] === route.path))
const { asked } = useAskedPanel()
const panel = ref<{ $el: HTMLElement } | null>(null)
/** Opened anew each time that a key asks for it. */
const askedFor = ref(0)
const startsOpen = computed(() => props.open || draft.value || askedFor.value > 0)
watch(
  asked,
  async name => {
    if (name !== props.label) return
    asked.value = undefined
    askedFor.value++
    await nextTick()
    panel.value?.$el.querySelector<HTMLElement>('input, textarea')?.focus()
  },
  { immediate: true },
)
</script>

<template>
  <Disclosure :key="askedFor" v-slot="{ open: isOpen, close }" :default-open="startsOpen">
    <div>
      <DisclosureButton class="button button-quiet wide:min-h-7! wide:py-0!"
        ><component :is="isOpen ? PhMinus : PhPlus" aria-hidden="true" />{{ label }}</DisclosureButton
      ><span v-if="draft && !isOpen" class="ml-2 bg-note-wash px-2 text-sm text-note">typed, not sent</span>
    </div>
    <DisclosurePanel ref="panel" class="border-t border-line pt-3"><slot :close="close" /></DisclosurePanel>
  </Disclosure>
</template>
