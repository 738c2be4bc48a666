<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useTitles } from '../api/usePacks'
import { told } from '../api/useTrouble'
import { money } from '../visit/money'
import { tell } from '../words/words'

/** What each van should carry, one van at a time or all of them together. */
type Stock = components['schemas']['StockPage']
const { data, error } = useQuery({
  queryKey: ['stock'],
  queryFn: () => answer<Stock>(api.GET('/api/lead/stock')),
  meta: told,
})
const title = useTitles()
const ALL = -1
const chosen = ref(ALL)
const van = computed(() => data.value?.vans[chosen.value])
const carried = (line: Stock['lines'][number]) => (chosen.value === ALL ? line.all : line.carry[chosen.value]!)
const lines = computed(() => data.value?.lines.filter((line) => chosen.value === ALL || carried(line) > 0) ?? [])
</script>

<template>
  <section v-if="error || data?.lines.length" data-test="stock">
    <h2 class="h5">{{ tell('vanStock.vanStockForAWeek') }}</h2>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <template v-else-if="data">
      <p class="soft">
        {{ tell('vanStock.fromTheUnitsYouService') }}
      </p>
      <div class="vans">
        <label
          >{{ tell('vanStock.van') }}
          <select v-model="chosen" class="form-select" data-test="van">
            <option :value="ALL">{{ tell('vanStock.allVans') }}</option>
            <option v-for="(one, i) in data.vans" :key="one.who" :value="i">{{ one.who }}</option>
          </select>
        </label>
        <p v-if="van" class="num room" data-test="room">
          <span class="track" aria-hidden="true"
            ><span :style="{ width: `${(100 * van.filled) / data.litres}%` }"></span
          ></span>
          {{ tell('vanStock.ofLTaken', { filled: Math.round(van.filled), litres: Math.round(data.litres) }) }}
        </p>
        <a class="key" href="/api/lead/stock.csv" download>{{ tell('vanStock.vanStockCsv') }}</a>
      </div>
      <p v-if="!lines.length">{{ tell('vanStock.nothingIsWorthItsSpace') }}</p>
      <table v-else class="table num">
        <thead>
          <tr>
            <th scope="col">{{ tell('common.part') }}</th>
            <th scope="col">{{ tell('vanStock.carry') }}</th>
            <th scope="col">{{ tell('vanStock.aYear') }}</th>
            <th scope="col">{{ tell('vanStock.used') }}</th>
            <th scope="col">{{ tell('vanStock.room') }}</th>
            <th scope="col">{{ tell('vanStock.costOfNotHavingIt') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.family + line.part">
            <td>
              {{ line.label }} <span class="soft">{{ title(line.family) }}</span>
            </td>
            <td>
              <strong>{{ carried(line) }}</strong>
            </td>
            <td>{{ line.aYear.toFixed(1) }}</td>
            <td>{{ line.used }}</td>
            <td>{{ line.litres }} l</td>
            <td>{{ money(line.missing, data.currency) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.5rem;
}
.vans {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem 1.25rem;
  margin-bottom: 1rem;
}
.room {
  margin: 0;
  display: grid;
  gap: 0.25rem;
}
.track {
  display: block;
  width: 12rem;
  height: 0.9rem;
  border: 2px solid var(--line);
}
.track span {
  display: block;
  height: 100%;
  background: var(--ink);
}
</style>
