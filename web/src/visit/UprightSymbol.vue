<script setup lang="ts">
import { type Drawn, symbolPath } from './symbols'

/** A symbol of the ladder diagram, turned upright. */
defineProps<{ symbol: Drawn; closed: boolean; height: number }>()
</script>

<template>
  <svg viewBox="-2 -14 40 28" width="28" :height="height" aria-hidden="true">
    <g transform="translate(18 0) rotate(90) translate(-18 0)">
      <path :d="symbolPath(symbol, closed)" />
    </g>
  </svg>
</template>

<style scoped lang="scss">
svg {
  justify-self: center;
  overflow: visible;
}
path {
  fill: none;
  stroke: var(--symbol-ink, var(--ink-soft));
  stroke-width: var(--symbol-width, 1.5);
}
</style>
