<script setup lang="ts">
import { computed } from 'vue'
import type { components } from '../api/schema'

/** Visits as bars: full what was proven, hatched the rest; a notch for each share that came back. */
const props = defineProps<{ title: string; figures: components['schemas']['Figures'][] }>()
const most = computed(() => Math.max(1, ...props.figures.map((f) => f.visits)))
const share = (n: number) => `${(100 * n) / most.value}%`
</script>

<template>
  <section>
    <h2 class="h5">{{ title }}</h2>
    <table class="table num">
      <thead>
        <tr>
          <th scope="col"></th>
          <th scope="col" class="wide">Visits, full where proven</th>
          <th scope="col">Came back</th>
          <th scope="col">Boards</th>
          <th scope="col">Minutes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="f in figures" :key="f.name">
          <th scope="row">{{ f.name }}</th>
          <td>
            <span class="track" aria-hidden="true">
              <span class="proven" :style="{ width: share(f.proven) }"></span>
              <span class="rest" :style="{ width: share(f.visits - f.proven) }"></span>
            </span>
            {{ f.proven }} of {{ f.visits }}
          </td>
          <td>{{ f.backs }}</td>
          <td>{{ f.boards }}</td>
          <td>{{ f.minutes == null ? '' : Math.round(f.minutes) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.5rem;
}
.wide {
  width: 50%;
}
.track {
  display: flex;
  height: 12px;
  margin-bottom: 0.25rem;
}
.proven {
  background: var(--ink);
}
.rest {
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 6px);
}
</style>
