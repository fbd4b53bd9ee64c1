<script setup lang="ts">
import { PhCamera, PhImages } from '@phosphor-icons/vue'

/** Photographs with one thumb: the camera, or pictures that are there already. */
const props = defineProps<{ tag: string }>()
const uploads = useUploads(() => props.tag)
const id = useId()
function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  uploads.add([...(input.files ?? [])])
  input.value = ''
}
</script>

<template>
  <div class="grid gap-3">
    <div class="grid grid-cols-2 gap-2">
      <label class="button button-main min-h-14! justify-center focus-within:outline-3 focus-within:outline-enamel" :for="`${id}-now`"
        ><PhCamera aria-hidden="true" />Take one now<input
          :id="`${id}-now`"
          class="sr-only"
          type="file"
          accept="image/*"
          capture="environment"
          @change="chosen"
      /></label>
      <label class="button min-h-14! justify-center focus-within:outline-3 focus-within:outline-enamel" :for="`${id}-many`"
        ><PhImages aria-hidden="true" />Choose some<input
          :id="`${id}-many`"
          class="sr-only"
          type="file"
          accept="image/jpeg,image/png,image/webp"
          multiple
          @change="chosen"
      /></label>
    </div>
    <UploadList v-bind="uploads" :uploads="uploads.uploads.value" />
    <p class="hint">They stand under Look; marks and captions can be added there.</p>
  </div>
</template>
