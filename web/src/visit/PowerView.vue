<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Chain, NewEntry } from '../api/client'
import CableTable from './CableTable.vue'
import CallPanel from './CallPanel.vue'
import { conductorColour } from './conductor'
import { percent } from './format'
import { useHandle } from './handle'
import UprightSymbol from './UprightSymbol.vue'
import { useChains } from './useDetails'
import { tell } from '../words/words'

const { visit, add, problem, sending } = useHandle()
const route = useRoute()
const closed = computed(() => Boolean(visit.value!.closedAt))
const { data } = useChains()
const chains = computed(() => data.value ?? [])
const chosen = ref('')
const chain = computed<Chain | undefined>(
  () => chains.value.find((c) => c.id === chosen.value) ?? chains.value.find((c) => !c.done) ?? chains.value[0],
)
const at = ref<string | null>(null)
const point = computed(
  () => chain.value?.points.find((p) => p.net === at.value) ?? chain.value?.points.find((p) => p.next) ?? null,
)
const lowImpedance = ref(false)
const reading = ref('')
watch([() => chain.value?.id, () => chain.value?.points], () => (at.value = null))
const ghost = computed(() => chain.value?.mayBeGhost ?? false)
watch(ghost, (now) => (lowImpedance.value = now))
const words: Record<Chain['points'][number]['mark'], string> = {
  UNKNOWN: '',
  LIVE: tell('powerView.live'),
  DEAD: tell('powerView.dead'),
  GHOST: tell('powerView.ghost'),
}

async function take() {
  const c = chain.value!
  const entry: NewEntry = {
    kind: 'FREE_READING',
    black: c.common,
    red: point.value!.net,
    mode: (lowImpedance.value && c.lowImpedance) || c.mode,
    moment: c.moment,
    reading: reading.value,
  }
  if (await add(entry)) reading.value = ''
}
</script>

<template>
  <main class="page power">
    <section class="walk" aria-labelledby="walk-title">
      <h1 id="walk-title" class="h5">{{ tell('powerView.supplyAndPermission') }}</h1>
      <p class="soft m-0">
        {{ tell('powerView.whereDoesTheVoltageStop') }}
        <RouterLink :to="{ name: 'drawing', params: route.params }" data-test="to-drawing">{{
          tell('powerView.wholeDiagram')
        }}</RouterLink>
      </p>
      <div class="chains" role="group" :aria-label="tell('powerView.whichChain')">
        <button
          v-for="c in chains"
          :key="c.id"
          type="button"
          class="key"
          :aria-pressed="c.id === chain?.id"
          :data-test="`chain-${c.id}`"
          @click="chosen = c.id"
        >
          {{ c.label }} <span class="soft">{{ c.done ? tell('powerView.walked') : percent(c.interrupted) }}</span>
        </button>
      </div>
      <template v-if="chain">
        <p class="said" role="status" data-test="chain-said">
          {{ chain.said }}
          <span v-if="chain.culprits.length">{{
            tell('powerView.betweenThem', { culprits: chain.culprits.join(', ') })
          }}</span>
        </p>
        <p class="fixed">
          <b class="probe">B</b> {{ tell('powerView.blackStaysOn') }} <strong>{{ chain.commonLabel }}</strong> ·
          {{ chain.modeLabel }} ·
          {{ chain.momentLabel }}
        </p>
        <ol class="points">
          <li v-for="p in chain.points" :key="p.net" :class="[p.mark.toLowerCase(), { here: p.net === point?.net }]">
            <p v-for="(l, i) in p.links" :key="i" class="link" :class="{ open: !l.state.closed, sound: l.state.sound }">
              <UprightSymbol :symbol="l.by" :closed="l.state.closed" :height="26" />
              <span class="what">{{ l.what }}</span>
              <span v-if="l.state.suspected > 0" class="num">{{ percent(l.state.suspected) }}</span>
            </p>
            <button type="button" :disabled="closed" :aria-current="p.net === point?.net" @click="at = p.net">
              <span class="spot" aria-hidden="true"
                ><i v-if="p.net === point?.net">R</i><template v-else-if="p.mark === 'LIVE'">●</template
                ><template v-else-if="p.mark === 'DEAD'">○</template
                ><template v-else-if="p.mark === 'GHOST'">◐</template><template v-else>·</template></span
              >
              <span class="label"
                ><strong>{{ p.label }}</strong> <span class="soft">{{ p.where }}</span></span
              >
              <span
                v-if="p.colour"
                class="wire"
                :style="{ background: conductorColour(p.colour) }"
                :title="p.colour"
              ></span>
              <span class="read num"
                >{{ p.reading ?? p.due }}<small v-if="!p.reading">{{ ` ${tell('common.expected3')}` }}</small></span
              >
              <span class="word">{{ words[p.mark] || (p.next ? tell('powerView.goHereNext') : '') }}</span>
            </button>
          </li>
        </ol>
      </template>
      <p v-else-if="data" class="soft">{{ tell('powerView.thisUnitHasNoSupply') }}</p>
    </section>
    <div class="side">
      <form v-if="chain && point && !closed" class="take" @submit.prevent="take">
        <p v-for="c in chain.cautions" :key="c" class="caution">{{ c }}</p>
        <label for="chain-reading">{{ tell('powerView.redOn', { label: point.label }) }}</label>
        <div class="line">
          <input
            id="chain-reading"
            v-model="reading"
            class="form-control field num"
            inputmode="decimal"
            autocomplete="off"
            placeholder="– – –"
            data-test="chain-reading"
          />
          <button type="submit" class="key next" :disabled="!reading || sending" data-test="chain-take">
            {{ tell('common.takeReading') }}
          </button>
        </div>
        <label v-if="chain.lowImpedance" class="loz">
          <input v-model="lowImpedance" type="checkbox" /> {{ tell('powerView.meterOnLoz') }}
        </label>
        <p v-if="problem && !problem.passing" class="problem" role="alert">{{ problem.message }}</p>
      </form>
      <CallPanel />
    </div>
    <CableTable />
    <RouterLink class="key next go-on" :to="{ name: 'work', params: route.params }" data-test="to-work">{{
      tell('powerView.onToTheWork')
    }}</RouterLink>
  </main>
</template>

<style scoped lang="scss">
.power {
  max-width: 76rem;
  display: grid;
  grid-template-columns: minmax(0, 7fr) minmax(0, 4fr);
  gap: 2rem;
  padding-bottom: 2rem;
}
.key.go-on {
  grid-column: 1 / -1;
}
.chains {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.chains .key {
  font-weight: 400;
  font-size: 0.9375rem;
}
.chains [aria-pressed='true'] {
  border-width: 4px;
  font-weight: 700;
}
.said {
  font-size: 1.25rem;
  font-weight: 700;
  margin: 0.9rem 0 0.25rem;
}
.fixed {
  margin: 0 0 0.5rem;
}
.probe {
  display: inline-grid;
  place-items: center;
  width: 1.5em;
  height: 1.5em;
  background: var(--ink);
  color: var(--paper);
}
.points {
  list-style: none;
  margin: 0;
  padding: 0;
  display: block;
}
.points li {
  border-left: 4px solid var(--line-soft);
}
.points li.live {
  border-left-color: var(--ink);
}
.points li.dead {
  border-left-style: dotted;
}
.points li.ghost {
  border-left-style: dashed;
}
.points button {
  width: 100%;
  min-height: 48px;
  display: grid;
  grid-template-columns: 2rem minmax(0, 1fr) 1.25rem 9.5rem 7rem;
  gap: 0.5rem;
  align-items: center;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--line-soft);
  background: none;
  color: inherit;
}
.points .here button {
  background: var(--next-soft);
}
.link {
  display: grid;
  grid-template-columns: 2rem minmax(0, 1fr) auto;
  gap: 0.5rem;
  align-items: center;
  min-height: 26px;
  margin: 0;
  padding-right: 0.5rem;
  color: var(--ink-soft);
}
.link.sound .what {
  text-decoration: line-through;
}
.spot {
  text-align: center;
}
.spot i {
  display: inline-grid;
  place-items: center;
  width: 1.6em;
  height: 1.6em;
  font-style: normal;
  font-weight: 700;
  background: var(--next);
  color: var(--next-ink);
}
.label {
  display: grid;
  line-height: 1.2;
}
.wire {
  width: 6px;
  height: 28px;
  border: 1px solid var(--line);
}
.read {
  text-align: right;
}
.word {
  font-weight: 700;
}
.take {
  margin-bottom: 1.5rem;
  padding-bottom: 1rem;
  border-bottom: 2px solid var(--line);
}
.take label:first-of-type {
  font-size: 1.25rem;
  font-weight: 700;
}
.read small {
  color: var(--ink-soft);
}
.line {
  display: flex;
  gap: 6px;
}
.line .field {
  font-size: 2rem;
  max-width: 12rem;
}
.line .key {
  flex: 1;
}
.loz {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 44px;
}
.loz input {
  accent-color: var(--ink);
  width: 24px;
  height: 24px;
}
@media (max-width: 900px) {
  .chains {
    flex-wrap: nowrap;
    overflow-x: auto;
    padding-bottom: 4px;
  }
  .chains .key {
    flex: 0 0 auto;
  }
  .power {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.5rem;
  }
  .points button {
    grid-template-columns: 2rem minmax(0, 1fr) 1rem auto;
  }
  .word {
    grid-column: 2 / -1;
  }
  .word:empty {
    display: none;
  }
  .take {
    position: sticky;
    bottom: 0;
    background: var(--paper);
    border-top: 2px solid var(--line);
    border-bottom: 0;
    padding-top: 0.5rem;
  }
}
</style>
