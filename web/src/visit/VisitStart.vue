<script setup lang="ts">
import { onMounted } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useHandle } from './handle'

const { visit, page } = useHandle()
const router = useRouter()
const route = useRoute()

onMounted(() => {
  const v = visit.value
  const name = v?.closedAt ? 'verdict' : page.value?.log.length ? 'work' : v?.earlier.length ? 'unit' : 'before'
  void router.replace({ name, params: route.params })
})
</script>

<template>
  <main class="page" />
</template>
