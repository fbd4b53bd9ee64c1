<script setup lang="ts">
defineProps<{ error: { statusCode: number; message: string } }>()
</script>

<template>
  <main class="mx-auto mt-24 max-w-lg p-4">
    <div class="card grid gap-3">
      <h1>{{ error.statusCode === 404 ? 'Nothing lies here' : 'Something went wrong' }}</h1>
      <p>{{ error.statusCode === 404 ? 'The address leads nowhere; perhaps the tag was mistyped.' : 'Nothing was changed. Go back and try again.' }}</p>
      <p><a class="button" href="/">To today’s bench</a></p>
    </div>
  </main>
</template>
