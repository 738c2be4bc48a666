<script setup lang="ts">
import { conductorColour } from './conductor'
import { useCables } from './useDetails'
import { tell } from '../words/words'

/** Terminal against terminal: what lands on what, what each end should have, and what was read. */
const { data: cables } = useCables()
</script>

<template>
  <section v-for="cable in cables" :key="cable.from + cable.to" class="cable" data-test="cable">
    <h2 class="h5">{{ tell('cableTable.bothEndsOfTheCable') }}</h2>
    <p class="soft">{{ tell('cableTable.ifTheTwoEndsOf') }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ cable.from }}</th>
          <th scope="col">
            <span class="visually-hidden">{{ tell('cableTable.conductor') }}</span>
          </th>
          <th scope="col">{{ cable.to }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in cable.conductors" :key="c.conductor" :class="{ differs: c.differs }">
          <td>
            <strong>{{ c.near.label }}</strong>
            <span class="num read">{{ c.near.reading ?? '—' }}</span>
            <span class="soft">{{ tell('cableTable.expected', { value: c.near.due }) }}</span>
          </td>
          <td class="wire">
            <i :style="{ background: conductorColour(c.near.colour) }" aria-hidden="true"></i>
            <span v-if="c.differs" class="word">{{ tell('cableTable.differs') }}</span>
            <span class="soft">{{ c.momentLabel }}</span>
          </td>
          <td>
            <strong>{{ c.far.label }}</strong>
            <span class="num read">{{ c.far.reading ?? '—' }}</span>
            <span class="soft">{{ tell('cableTable.expected', { value: c.far.due }) }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped lang="scss">
.cable {
  margin-top: 1.5rem;
}
table {
  width: 100%;
  max-width: 46rem;
  table-layout: fixed;
}
th,
td {
  padding: 0.5rem 0.4rem;
  border-bottom: 1px solid var(--line-soft);
  vertical-align: top;
}
td > * {
  display: block;
}
td:last-child,
th:last-child {
  text-align: right;
}
.read {
  font-size: 1.5rem;
}
.wire {
  text-align: center;
  font-size: 0.85rem;
}
.wire i {
  height: 8px;
  margin: 0.5rem 0 0.3rem;
  border: 1px solid var(--ink);
}
.differs {
  outline: 3px dashed var(--danger);
}
.word {
  color: var(--danger);
  font-weight: 700;
}
</style>
