<script setup lang="ts">
import { useRoute } from 'vue-router'
import type { ChangeOut } from '../api/client'
import { tell } from '../words/words'

/** Each switch, jumper or knob with its positions beside each other, as it sits on the board; filled where it was found. */
defineProps<{ switches: ChangeOut['switches'] }>()
const route = useRoute()
</script>

<template>
  <div v-if="switches.length" class="bank">
    <figure v-for="s in switches" :key="s.setting" class="switch">
      <figcaption>{{ s.label }}</figcaption>
      <ol>
        <li v-for="p in s.positions" :key="p" :class="{ found: p === s.found }">
          <svg viewBox="0 0 20 34" width="20" height="34" aria-hidden="true">
            <rect x="1.5" y="1.5" width="17" height="31" class="slot" />
            <rect :y="p === s.found ? 4 : 17" x="4" width="12" height="13" class="lever" />
          </svg>
          <span>{{ p }}</span>
        </li>
      </ol>
      <p v-if="!s.found" class="soft">{{ tell('switchBank.itsSettingsWereNotRecorded') }}</p>
    </figure>
    <RouterLink class="key quiet" :to="{ name: 'settings', params: route.params }">{{
      tell('switchBank.recordHowTheyAreSet')
    }}</RouterLink>
  </div>
</template>

<style scoped lang="scss">
.bank {
  margin: 1rem 0 0;
}
.switch {
  margin: 0;
}
figcaption {
  font-weight: 700;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 1.25rem;
  list-style: none;
  padding: 0;
  margin: 0.25rem 0 0.5rem;
}
li {
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
.found {
  font-weight: 700;
}
.slot {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.lever {
  fill: var(--line-soft);
}
.found .lever {
  fill: var(--next);
}
</style>
