<script setup lang="ts">
import { useSetFieldValue } from 'vee-validate'

/** A photograph taken for what is being written; it is chosen for it as soon as it is kept. */
const props = withDefaults(defineProps<{ tag: string; take?: string }>(), { take: 'Photograph this step' })
const setPhotograph = useSetFieldValue<number>('photographId')
const uploads = useUploads(
  () => props.tag,
  id => setPhotograph(id),
)
</script>

<template>
  <div class="grid gap-2">
    <PictureInputs :take="take" camera @chosen="uploads.add" />
    <UploadList :uploads="uploads.uploads.value" :leave="uploads.leave" :again="uploads.again" :clear="uploads.clear" />
  </div>
</template>
