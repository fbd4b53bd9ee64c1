<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { PhMinus, PhPlus } from '@phosphor-icons/vue'

/** A form that stays out of the way until it is wanted. */
defineProps<{ label: string; open?: boolean }>()
</script>

<template>
  <Disclosure v-slot="{ open: isOpen, close }" :default-open="open">
    <div>
      <DisclosureButton class="button button-quiet"><component :is="isOpen ? PhMinus : PhPlus" aria-hidden="true" />{{ label }}</DisclosureButton>
    </div>
    <DisclosurePanel class="border-t border-line pt-3"><slot :close="close" /></DisclosurePanel>
  </Disclosure>
</template>
