<script setup lang="ts">
import { PhCamera, PhImages } from '~/kernel/signs/icons'

/** The two ways to a photograph: the camera, and pictures that are there already. Which of them is offered is said by its label. */
defineProps<{
  take?: string
  choose?: string
  /** The camera on wide screens too, where it is all there is or comes first. */
  camera?: boolean
  /** Under the thumb: tall, and the camera first. */
  thumb?: boolean
}>()
const emit = defineEmits<{ chosen: [files: File[]] }>()
function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  emit('chosen', [...(input.files ?? [])])
  // So that the same picture can be chosen again.
  input.value = ''
}
</script>

<template>
  <div :class="thumb ? 'grid grid-cols-2 gap-2' : 'flex flex-wrap gap-2'">
    <label v-if="choose" class="button focus-within:outline-3 focus-within:outline-enamel" :class="thumb && 'order-2 min-h-14! justify-center'"
      ><PhImages aria-hidden="true" />{{ choose }}<input class="sr-only" type="file" accept="image/jpeg,image/png,image/webp" multiple @change="chosen"
    /></label>
    <label
      v-if="take"
      class="button focus-within:outline-3 focus-within:outline-enamel"
      :class="[thumb && 'button-main min-h-14! justify-center', !camera && !thumb && 'wide:hidden']"
      ><PhCamera aria-hidden="true" />{{ take }}<input class="sr-only" type="file" accept="image/*" capture="environment" @change="chosen"
    /></label>
  </div>
</template>
