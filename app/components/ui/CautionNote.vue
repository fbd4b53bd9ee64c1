<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { PhCaretRight } from '@phosphor-icons/vue'
import { type CautionName, cautions } from '#core/safety/cautions'

/** The usual caution beside the step it belongs to: hazard and measures in sight, harm, who and rules one press away. */
const props = defineProps<{ about: CautionName }>()
const caution = computed(() => cautions[props.about])
</script>

<template>
  <Disclosure v-slot="{ open }" as="aside" class="border-l-4 border-care bg-care-wash px-3 py-2 text-[0.9375rem]" :aria-label="`Caution: ${caution.title}`">
    <p><strong>{{ caution.title }}.</strong> {{ caution.harm }} {{ caution.measures }}</p>
    <DisclosureButton class="mt-1 inline-flex items-center gap-1 text-ink underline underline-offset-2"><PhCaretRight aria-hidden="true" :class="open && 'rotate-90'" />Who, and whose rules</DisclosureButton>
    <DisclosurePanel class="mt-1"><p>{{ caution.who }}</p><p>{{ caution.rules }}</p></DisclosurePanel>
  </Disclosure>
</template>
