<script setup lang="ts">
import { computed } from 'vue'
import type { MoveLine } from '../api/client'
import { useHandle } from '../visit/handle'
import { tell } from '../words/words'

/** One conductor at a time: the next one large, with its button; all of them below, to look at and to print. */
const props = defineProps<{ moves: MoveLine[]; closed: boolean; held: boolean }>()
const { add } = useHandle()
const next = computed(() => props.moves.find((m) => !m.done))
const done = computed(() => props.moves.filter((m) => m.done).length)
const print = () => window.print()
</script>

<template>
  <section data-test="map">
    <h2 class="h5">{{ tell('conductorMap.conductorByConductor') }}</h2>
    <p class="num">{{ tell('conductorMap.ofMoved', { done, count: moves.length }) }}</p>
    <div v-if="next && !closed && !held" class="now no-print">
      <p class="from">
        {{ next.from }}<span v-if="next.conductor" class="soft">, {{ next.conductor }}</span>
      </p>
      <p class="to"><span aria-hidden="true">↓</span> {{ next.to ?? tell('conductorMap.noPlaceCapIt') }}</p>
      <button
        type="button"
        class="key next"
        data-test="moved"
        @click="add({ kind: 'MOVED', terminal: next!.terminal })"
      >
        {{ tell('conductorMap.itIsOn') }}
      </button>
    </div>
    <p v-else-if="held" class="soft">{{ tell('conductorMap.fixTheProblemsAboveBefore') }}</p>
    <table class="table">
      <thead>
        <tr>
          <th scope="col">{{ tell('common.from') }}</th>
          <th scope="col">{{ tell('conductorMap.conductor') }}</th>
          <th scope="col">{{ tell('common.to') }}</th>
          <th scope="col">{{ tell('conductorMap.on') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="m in moves" :key="m.terminal" :class="{ done: m.done }">
          <td>{{ m.from }}</td>
          <td>{{ m.conductor }}</td>
          <td>
            <strong>{{ m.to ?? tell('conductorMap.noPlace') }}</strong>
          </td>
          <td>
            <svg
              viewBox="0 0 18 18"
              width="18"
              height="18"
              role="img"
              :aria-label="m.done ? tell('conductorMap.on2') : tell('conductorMap.notYet')"
            >
              <rect x="1.5" y="1.5" width="15" height="15" class="box" />
              <path v-if="m.done" d="M4 9l4 4 7-9" class="tick" />
            </svg>
          </td>
        </tr>
      </tbody>
    </table>
    <button type="button" class="key quiet no-print" @click="print">{{ tell('conductorMap.printTheMap') }}</button>
  </section>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.75rem;
}
.now {
  border: 2px solid var(--line);
  padding: 0.75rem 1rem 1rem;
  margin-bottom: 1rem;
}
.from,
.to {
  font-size: 1.6rem;
  font-weight: 700;
  margin: 0 0 0.25rem;
}
.from .soft {
  font-weight: 400;
}
.now .key {
  width: 100%;
  min-height: 64px;
}
.done td {
  color: var(--ink-soft);
}
.box {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.tick {
  fill: none;
  stroke: var(--next);
  stroke-width: 3;
}
</style>
