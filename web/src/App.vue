<script setup lang="ts">
import { onMounted } from 'vue'
import { useTheme } from './theme/useTheme'

const { apply } = useTheme()
onMounted(apply)
</script>

<template>
  <RouterView v-slot="{ Component, route }">
    <component :is="Component" :key="String(route.params.id ?? route.params.name ?? '')" />
  </RouterView>
</template>
