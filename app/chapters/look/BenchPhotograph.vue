<script setup lang="ts">
/** Photographs with one thumb: the camera, or pictures that are there already. */
const props = defineProps<{ tag: string }>()
const uploads = useUploads(() => props.tag)
</script>

<template>
  <div class="grid gap-3">
    <PictureInputs thumb take="Take one now" choose="Choose some" @chosen="uploads.add" />
    <UploadList :uploads="uploads.uploads.value" :leave="uploads.leave" :again="uploads.again" :clear="uploads.clear" />
    <p class="hint">You will find them under Look, where marks and captions can be added.</p>
  </div>
</template>
