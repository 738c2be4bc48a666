<script setup lang="ts">
import TopBar from './TopBar.vue'
import { tell } from '../words/words'
</script>

<template>
  <TopBar :title="tell('common.nothingHere')" />
  <main class="page">
    <h1 class="h3">{{ tell('notFound.nothingAtThisAddress') }}</h1>
    <p>{{ tell('notFound.theLinkIsOldOr') }}</p>
    <RouterLink class="key next" to="/jobs">{{ tell('common.todaysJobs') }}</RouterLink>
  </main>
</template>
