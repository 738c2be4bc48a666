<script setup lang="ts">
import { computed } from 'vue'
import type { components } from '../api/schema'
import { money } from '../visit/money'
import { tell } from '../words/words'

/** Visits as bars: full what was proven, hatched the rest; what they took and cost beside what the figures of the packs say. */
const props = defineProps<{ title: string; figures: components['schemas']['Figures'][]; currency: string }>()
const most = computed(() => Math.max(1, ...props.figures.map((f) => f.visits)))
const share = (n: number) => `${(100 * n) / most.value}%`
</script>

<template>
  <section tabindex="0" :aria-label="title">
    <h2 class="h5">{{ title }}</h2>
    <table class="table num">
      <thead>
        <tr>
          <th scope="col"></th>
          <th scope="col" class="wide">{{ tell('figureBars.visitsFullWhereProven') }}</th>
          <th scope="col">{{ tell('figureBars.callbacks') }}</th>
          <th scope="col">{{ tell('common.boards') }}</th>
          <th scope="col">
            {{ tell('figureBars.minutes') }} <span class="soft">{{ tell('figureBars.bookTime') }}</span>
          </th>
          <th scope="col">
            {{ tell('figureBars.cost', { currency }) }} <span class="soft">{{ tell('figureBars.bookTime') }}</span>
          </th>
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
            {{ tell('figureBars.ofVisits', { proven: f.proven, visits: f.visits }) }}
          </td>
          <td>{{ f.backs }}</td>
          <td>{{ f.boards }}</td>
          <td>
            {{ f.minutes == null ? '' : Math.round(f.minutes) }}
            <span v-if="f.bookMinutes != null" class="soft">{{ Math.round(f.bookMinutes) }}</span>
          </td>
          <td>
            {{ f.cost == null ? '' : money(f.cost, '') }}
            <span v-if="f.bookCost != null" class="soft">{{ money(f.bookCost, '') }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.5rem;
  overflow-x: auto;
}
th .soft,
td .soft {
  display: block;
}
tbody td {
  white-space: nowrap;
}
@media (max-width: 700px) {
  th,
  td {
    padding-inline: 0.25rem;
  }
}
.wide {
  width: 40%;
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
