<script setup lang="ts">
/** After something was sent to the public list. */
definePageMeta({ layout: 'plain' })
useHead({ title: 'Thank you' })
</script>

<template>
  <main class="mx-auto grid max-w-2xl gap-4 p-4 py-8">
    <div class="card grid gap-2">
      <h1>Thank you</h1>
      <p>It has been kept, and a person will read it. If it helps, they come back to you in the way that you named.</p>
      <p><a href="/sought">All that is sought and spared</a></p>
    </div>
  </main>
</template>
