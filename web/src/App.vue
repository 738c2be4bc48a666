<script setup lang="ts">
import { onMounted } from 'vue'
import { useTheme } from './theme/useTheme'

const { apply } = useTheme()
onMounted(apply)
</script>

<template>
  <BApp>
    <RouterView />
  </BApp>
</template>
