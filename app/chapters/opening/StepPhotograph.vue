<script setup lang="ts">
import { PhCamera } from '@phosphor-icons/vue'
import { useSetFieldValue } from 'vee-validate'

/** A photograph taken for the step that is being written; it is chosen for it as soon as it is kept. */
const props = defineProps<{ tag: string }>()
const setPhotograph = useSetFieldValue<number>('photographId')
const uploads = useUploads(
  () => props.tag,
  id => setPhotograph(id),
)
const id = useId()
function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  uploads.add([...(input.files ?? [])])
  input.value = ''
}
</script>

<template>
  <div class="grid gap-2">
    <label class="button justify-self-start focus-within:outline-3 focus-within:outline-enamel" :for="id"
      ><PhCamera aria-hidden="true" />Photograph this step<input :id="id" class="sr-only" type="file" accept="image/*" capture="environment" @change="chosen"
    /></label>
    <UploadList :uploads="uploads.uploads.value" :leave="uploads.leave" :again="uploads.again" :clear="uploads.clear" />
  </div>
</template>
