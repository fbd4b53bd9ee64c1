<script setup lang="ts">
/** For those who are not signed in and use an instrument. */
</script>

<template>
  <div class="min-h-dvh">
    <TopBar />
    <main class="mx-auto max-w-5xl p-4 pb-16"><slot /></main>
  </div>
</template>
