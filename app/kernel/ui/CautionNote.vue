<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { PhCaretRight } from '~/kernel/signs/icons'
import { type CautionName, cautions } from '#core/safety/cautions'

/**
 * The usual caution beside the step it belongs to: hazard, harm and measures in sight, who and rules one press away.
 * On one stage it is said in full where it comes first; beside later steps the hazard stands, and the rest is a press away.
 */
const props = defineProps<{ about: CautionName }>()
const caution = computed(() => cautions[props.about])
const said = inject(cautionsKey, undefined)
const by = useId()
said?.push({ about: props.about, by })
onUnmounted(() => {
  const at = said?.findIndex(s => s.by === by) ?? -1
  if (at >= 0) said!.splice(at, 1)
})
const brief = computed(() => said?.find(s => s.about === props.about)?.by !== by && said !== undefined)
</script>

<template>
  <Disclosure v-slot="{ open }" as="div" role="note" class="border-l-4 border-care bg-care-wash px-3 py-1.5 text-sm" :aria-label="`Caution: ${caution.title}`">
    <p>
      <strong>{{ caution.title }}.</strong> <template v-if="!brief">{{ caution.harm }} {{ caution.measures }} </template>
      <DisclosureButton class="inline-flex items-center gap-0.5 text-left underline underline-offset-2"
        ><PhCaretRight aria-hidden="true" :class="open && 'rotate-90'" />{{ brief ? 'What to do, and who' : 'Who, and whose rules' }}</DisclosureButton
      >
    </p>
    <DisclosurePanel class="mt-1"
      ><p v-if="brief">{{ caution.harm }} {{ caution.measures }}</p>
      <p>{{ caution.who }}</p>
      <p>{{ caution.rules }}</p>
      <p><NuxtLink to="/tools/cautions">All cautions</NuxtLink></p></DisclosurePanel
    >
  </Disclosure>
</template>
