<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { answer, api, type WantedElsewhere } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import CurveChart from '../tools/CurveChart.vue'
import AtTheCounter from './AtTheCounter.vue'
import { percent } from './format'
import { useHandle } from './handle'
import { hours, money } from './money'
import OtherUnitsOffer from './OtherUnitsOffer.vue'
import QuoteList from './QuoteList.vue'
import { useQuotes, useWaysOut } from './useDetails'
import WayFigures from './WayFigures.vue'
import { tell } from '../words/words'

const { id, visit } = useHandle()
const route = useRoute()
const { data: out, isPending } = useWaysOut()
const quotes = useQuotes()
const open = ref('')
const also = ref<WantedElsewhere[]>([])
const { attempt, busy, problem } = useAttempt()
const closed = computed(() => Boolean(visit.value!.closedAt))
/** The widest bar is the dearest way with its spread, the whole unit left out: it would make the others dots. */
const widest = computed(() =>
  Math.max(1, ...(out.value?.ways ?? []).filter((w) => !w.id.startsWith('UNIT')).map((w) => w.expected + w.spread)),
)
const share = (cost: number) => `${Math.min(100, (100 * Math.max(0, cost)) / widest.value)}%`

function quote(way: string) {
  return attempt(async () => {
    await answer(api.POST('/api/visits/{id}/quotes', { params: { path: { id } }, body: { way, also: also.value } }))
    also.value = []
    await quotes.refetch()
  })
}
</script>

<template>
  <main class="page" data-test="ways-page">
    <p v-if="isPending" class="soft">{{ tell('wayOutView.workingItOut') }}</p>
    <template v-if="out">
      <p class="eyebrow">{{ out.proven ? tell('common.proven') : tell('wayOutView.notProvenYet') }}</p>
      <h1 class="h3">{{ out.cause || tell('wayOutView.waysOut') }}</h1>
      <p class="lead" data-test="ways-say">{{ out.says }}.</p>
      <p v-if="out.fastest">{{ out.fastest }}.</p>
      <ol class="ways">
        <li v-for="way in out.ways" :key="way.id" :data-test="`way-${way.id}`">
          <button
            type="button"
            class="way"
            :aria-expanded="open === way.id"
            @click="open = open === way.id ? '' : way.id"
          >
            <span class="what">{{ way.label }}</span>
            <span class="num hours">{{ tell('wayOutView.runsIn', { hours: hours(way.hours) }) }}</span>
            <span class="num cost">{{ money(way.expected, out.currency) }}</span>
            <span class="track" :class="{ beyond: way.expected > widest }" aria-hidden="true">
              <span class="sure" :style="{ width: share(way.quoted) }"></span>
              <span
                class="may"
                :style="{ left: share(way.quoted), width: share(Math.max(0, way.expected - way.quoted)) }"
              ></span>
              <span
                v-if="!way.id.startsWith('UNIT')"
                class="spread"
                :style="{ left: share(way.expected - way.spread), width: share(2 * way.spread) }"
              ></span>
            </span>
          </button>
          <div v-if="open === way.id" class="detail">
            <table class="table num">
              <tbody>
                <tr v-for="item in way.items" :key="item.label">
                  <td>{{ item.label }}</td>
                  <td class="soft">{{ item.quoted ? tell('wayOutView.onTheOrder') : tell('wayOutView.mayCome') }}</td>
                  <td class="right">{{ money(item.cost, out.currency) }}</td>
                </tr>
                <tr class="sum">
                  <td>{{ tell('wayOutView.expected', { money: money(way.spread, out.currency) }) }}</td>
                  <td></td>
                  <td class="right">{{ money(way.expected, out.currency) }}</td>
                </tr>
              </tbody>
            </table>
            <OtherUnitsOffer v-if="!closed" v-model="also" />
            <button v-if="!closed" type="button" class="key" :disabled="busy" data-test="quote" @click="quote(way.id)">
              {{ tell('wayOutView.quoteThis') }}
            </button>
            <p v-if="problem" class="problem mt-2" role="alert">{{ problem }}</p>
          </div>
        </li>
      </ol>
      <p v-if="out.ways.length" class="soft small">
        {{ tell('wayOutView.fullPriceOfThisOrder') }}
      </p>
      <p v-if="out.spares.length" data-test="spares">
        <strong>{{ tell('wayOutView.aSpareWireCanReplace') }}</strong> {{ out.spares.join('; ') }}
      </p>
      <section v-if="out.untested.length">
        <h2 class="h5">{{ tell('common.notTestedYet') }}</h2>
        <ul>
          <li v-for="u in out.untested" :key="u.part">
            {{
              tell('wayOutView.badTooThenAndAnother', {
                label: u.label,
                percent: percent(u.chance),
                money: money(u.cost, out.currency),
              })
            }}
          </li>
        </ul>
      </section>
      <QuoteList v-if="quotes.data.value?.length" :id="id" :quotes="quotes.data.value" />
      <section v-if="out.byAge">
        <h2 class="h5">{{ tell('wayOutView.repairOrReplace') }}</h2>
        <p>{{ out.keeps }}.</p>
        <CurveChart :curve="out.byAge" />
      </section>
      <AtTheCounter :closed="closed" />
      <WayFigures :out="out" :closed="closed" />
      <RouterLink class="key mt-4" :to="{ name: 'verdict', params: route.params }">{{
        tell('common.backToTheVerdict')
      }}</RouterLink>
    </template>
  </main>
</template>

<style scoped lang="scss">
.ways {
  list-style: none;
  padding: 0;
  margin: 1rem 0 0.5rem;
  border-top: 2px solid var(--line);
}
.way {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 8rem;
  gap: 0.25rem 1rem;
  width: 100%;
  min-height: 64px;
  padding: 0.6rem 0.25rem;
  text-align: left;
  background: none;
  color: inherit;
  border: 0;
}
.ways li {
  border-bottom: 1px solid var(--line-soft);
}
.what,
.cost {
  font-weight: 700;
}
.cost,
.right {
  text-align: right;
  white-space: nowrap;
}
.track {
  position: relative;
  grid-column: 1 / -1;
  height: 14px;
  overflow: hidden;
}
/* A cost that goes beyond the sheet is cut open at its end. */
.beyond {
  clip-path: polygon(0 0, 100% 0, calc(100% - 12px) 50%, 100% 100%, 0 100%);
}
h1::first-letter {
  text-transform: uppercase;
}
.sure,
.may,
.spread {
  position: absolute;
  top: 0;
  height: 12px;
}
.sure {
  left: 0;
  background: var(--ink);
}
.may {
  background: repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 6px);
  border: 1px solid var(--ink);
}
.spread {
  top: 5px;
  height: 0;
  border-top: 2px solid var(--next);
}
.detail {
  padding: 0 0.25rem 1rem;
}
.sum td {
  font-weight: 700;
}
section {
  margin-top: 1.5rem;
}
@media (max-width: 700px) {
  .way {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .what {
    grid-column: 1 / -1;
  }
}
</style>
