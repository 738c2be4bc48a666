<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useHandle } from './handle'
import { hours, money } from './money'
import { tell } from '../words/words'

/** What the supplier has; each price can be taken in place of the one that is counted with. */
defineProps<{ closed: boolean }>()
type Counter = components['schemas']['Counter']
const { id, add } = useHandle()
const { data, error, isFetching, refetch } = useQuery({
  queryKey: ['visit', id, 'counter'],
  queryFn: () => answer<Counter>(api.GET('/api/visits/{id}/counter', { params: { path: { id } } })),
  enabled: false,
  retry: false,
})

function take(line: Counter['lines'][number]) {
  const at = new Date(data.value!.askedAt).toLocaleString()
  const reason = `supplier, ${at}: ${line.pieces ? tell('atTheCounter.onTheShelf', { pieces: line.pieces }) : tell('atTheCounter.hasToBeOrdered')}`
  add({ kind: 'FIGURE', what: `price.${line.part}`, value: line.price, reason })
  add({ kind: 'FIGURE', what: 'counter-hours', value: line.hours, reason })
}
</script>

<template>
  <section data-test="counter">
    <h2 class="h5">{{ tell('atTheCounter.atTheCounterNow') }}</h2>
    <button type="button" class="key" :disabled="isFetching" data-test="ask-supplier" @click="refetch()">
      {{
        isFetching ? tell('common.asking') : data ? tell('atTheCounter.askAgain') : tell('atTheCounter.askTheSupplier')
      }}
    </button>
    <p v-if="error" class="problem mt-2" role="alert">{{ error.message }}</p>
    <p v-else-if="data?.away" class="problem mt-2" role="alert" data-test="away">
      {{ tell('atTheCounter.theOldFiguresStayAsk', { away: data.away }) }}
    </p>
    <p v-else-if="data && !data.lines.length" class="mt-2">{{ tell('atTheCounter.nothingToBuy') }}</p>
    <ul v-else-if="data" class="shelf num">
      <li v-for="line in data.lines" :key="line.part">
        <span>{{ line.label }}</span>
        <span
          >{{
            line.pieces
              ? tell('atTheCounter.onTheShelf', { pieces: line.pieces })
              : tell('atTheCounter.noneToBeOrdered')
          }}, {{ hours(line.hours) }}</span
        >
        <strong>{{ money(line.price, data.currency) }}</strong>
        <button v-if="!closed" type="button" class="key quiet" @click="take(line)">
          {{ tell('atTheCounter.useIt') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.5rem;
}
.shelf {
  list-style: none;
  padding: 0;
  margin-top: 0.75rem;
}
.shelf li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 7rem auto;
  align-items: center;
  gap: 0.5rem 1rem;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
.shelf strong {
  text-align: right;
}
@media (max-width: 700px) {
  .shelf li {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 0.5rem 0;
  }
}
</style>
