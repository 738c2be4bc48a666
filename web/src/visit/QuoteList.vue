<script setup lang="ts">
import type { Quote } from '../api/client'
import { tell } from '../words/words'

/** What was offered, newest last; where something could not be tested, with and without it. */
defineProps<{ id: string; quotes: Quote[] }>()
const exact = (amount: number, currency: string) =>
  `${amount.toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 })} ${currency}`
</script>

<template>
  <section data-test="quotes">
    <h2 class="h5">{{ tell('quoteList.quotes') }}</h2>
    <article v-for="q in quotes" :key="q.id" class="quote">
      <p>
        <strong>{{ tell('quoteList.quote', { number: q.number }) }}</strong>{{
          tell('quoteList.until', { way: q.offer.way })
        }}
        <span class="num">{{ q.offer.validUntil }}</span>
      </p>
      <p v-for="b in q.offer.also ?? []" :key="b.unit + b.way" class="soft">
        {{ tell('otherUnits.beside', { unit: b.unit, way: b.way }) }}
      </p>
      <div class="sums">
        <div>
          <p class="soft">
            {{
              q.offer.plain.total === q.offer.whole.total
                ? tell('quoteList.price')
                : tell('quoteList.withoutWhatWasNotTested')
            }}
          </p>
          <p class="num total">{{ exact(q.offer.plain.total, q.offer.currency) }}</p>
        </div>
        <div v-if="q.offer.plain.total !== q.offer.whole.total">
          <p class="soft">{{ tell('quoteList.included') }}</p>
          <p class="num total">{{ exact(q.offer.whole.total, q.offer.currency) }}</p>
        </div>
        <a class="key" :href="`/api/visits/${id}/quotes/${q.id}.pdf`" download>{{ tell('quoteList.quotePdf') }}</a>
      </div>
    </article>
  </section>
</template>

<style scoped lang="scss">
.quote {
  padding: 0.75rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.sums {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.5rem 2rem;
}
p {
  margin: 0;
}
.total {
  font-size: 1.35rem;
  font-weight: 700;
}
</style>
