<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { PhCaretRight } from '@phosphor-icons/vue'
import { type CautionName, cautions } from '#core/safety/cautions'

/** The usual caution beside the step it belongs to: hazard and measures in sight, harm, who and rules one press away. */
const props = defineProps<{ about: CautionName }>()
const caution = computed(() => cautions[props.about])
</script>

<template>
  <Disclosure v-slot="{ open }" as="aside" class="border-l-4 border-care bg-care-wash px-3 py-1.5 text-sm" :aria-label="`Caution: ${caution.title}`">
    <p>
      <strong>{{ caution.title }}.</strong> {{ caution.harm }} {{ caution.measures }}
      <DisclosureButton class="inline-flex items-center gap-0.5 whitespace-nowrap underline underline-offset-2"
        ><PhCaretRight aria-hidden="true" :class="open && 'rotate-90'" />Who, and whose rules</DisclosureButton
      >
    </p>
    <DisclosurePanel class="mt-1"
      ><p>{{ caution.who }}</p>
      <p>{{ caution.rules }}</p>
      <p><NuxtLink to="/tools/cautions">All cautions</NuxtLink></p></DisclosurePanel
    >
  </Disclosure>
</template>
