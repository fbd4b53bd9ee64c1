<script setup lang="ts">
/** Photographs with one thumb: the camera, or pictures that are there already; what is damaged on the last of them is marked at once. */
const props = defineProps<{ tag: string }>()
const session = useSession()
const last = ref<number>()
const uploads = useUploads(
  () => props.tag,
  photographId => (last.value = photographId),
)
</script>

<template>
  <div class="grid gap-3">
    <PictureInputs thumb take="Take one now" choose="Choose some" @chosen="uploads.add" />
    <UploadList :uploads="uploads.uploads.value" :leave="uploads.leave" :again="uploads.again" :clear="uploads.clear" />
    <LazyMarkNow v-if="last !== undefined && session.may('record-damage')" :tag="tag" :photograph-id="last" />
    <p v-else class="hint">You will find them under Look, where marks and captions can be added.</p>
  </div>
</template>
