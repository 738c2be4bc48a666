<script setup lang="ts">
import TopBar from './TopBar.vue'
</script>

<template>
  <TopBar title="Nothing here" />
  <main class="page">
    <h1 class="h3">Nothing at this address</h1>
    <p>The link is old or mistyped.</p>
    <RouterLink class="key next" to="/jobs">Today's jobs</RouterLink>
  </main>
</template>
