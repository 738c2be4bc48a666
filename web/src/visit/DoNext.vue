<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Page, TestLine, TestView } from '../api/client'
import CannotDo from './CannotDo.vue'
import CautionList from './CautionList.vue'
import { minutes, percent } from './format'
import HandlingLines from './HandlingLines.vue'
import PaperLinks from './PaperLinks.vue'
import NeedsLicence from './NeedsLicence.vue'
import PlanTree from './PlanTree.vue'
import { usePlan } from './useDetails'
import { tell } from '../words/words'
import { isTyping } from '../common/typing'

const props = defineProps<{
  test: TestView
  purpose: Page['purpose']
  chosen: boolean
  meanwhile: TestLine[]
  others: TestLine[]
}>()
const emit = defineEmits<{ choose: [id: string]; proposed: []; change: []; saw: [] }>()
/** When, with which setting of the meter, and what it should read. */
const how = computed(() =>
  [
    props.test.unplugged.length ? tell('doNext.pull', { unplugged: props.test.unplugged.join(', ') }) : '',
    props.test.mode,
    props.test.moment,
    props.test.should,
  ]
    .filter(Boolean)
    .join(' · '),
)
const tag = computed(() =>
  props.purpose === 'SAFETY' && !props.chosen
    ? tell('doNext.first')
    : props.chosen
      ? tell('doNext.chosen')
      : props.purpose === 'PROVE'
        ? tell('doNext.toProveIt')
        : tell('doNext.next'),
)
const why = ref(false)
const { data: plan } = usePlan(why)
const other = ref(false)
const cannot = ref(false)
watch(
  () => props.test.id,
  () => {
    why.value = false
    other.value = false
    cannot.value = false
  },
)
onKeyStroke(['w', 'W'], (event) => {
  if (!isTyping(event)) why.value = !why.value
})
</script>

<template>
  <section class="next" aria-labelledby="next-title" data-test="next" :data-id="test.id">
    <div class="line">
      <h1 id="next-title" class="tag">{{ tag }}</h1>
      <p class="what" data-test="instruction">{{ test.instruction }}</p>
      <div class="tools">
        <button type="button" class="key quiet" :aria-expanded="why" data-test="why" @click="why = !why">
          {{ tell('doNext.why', { why: why ? '▾' : '▸' }) }}
        </button>
        <button type="button" class="key quiet" data-test="to-saw" @click="emit('saw')">
          {{ tell('common.iSaw') }}
        </button>
        <button
          v-if="others.length"
          type="button"
          class="key quiet"
          :aria-expanded="other"
          data-test="other"
          @click="other = !other"
        >
          {{ tell('doNext.other', { other: other ? '▾' : '▸' }) }}
        </button>
        <button
          v-if="purpose !== 'SAFETY' || chosen"
          type="button"
          class="key quiet"
          :aria-expanded="cannot"
          data-test="cannot-do"
          @click="cannot = !cannot"
        >
          {{ tell('doNext.cant', { cannot: cannot ? '▾' : '▸' }) }}
        </button>
      </div>
      <p class="min num">{{ minutes(test.minutes) }}</p>
    </div>
    <CannotDo v-if="cannot" :test="test.id" @said="cannot = false" />
    <p v-if="test.sequence" class="how">{{ tell('doNext.startTheClockWithThe') }}</p>
    <p v-else class="how" data-test="how">{{ how }}</p>
    <p v-if="meanwhile.length && !chosen" class="meanwhile" data-test="meanwhile">
      <span>{{ tell('doNext.itTakesAWhileMeanwhile') }}</span>
      <button v-for="t in meanwhile" :key="t.id" type="button" class="key" @click="emit('choose', t.id)">
        {{ t.instruction }}
      </button>
    </p>
    <NeedsLicence v-if="test.safety.needs.length" :needs="test.safety.needs" />
    <CautionList :safety="test.safety" />
    <PaperLinks :about="test.about" />
    <HandlingLines v-if="test.handling.length" :lines="test.handling" />
    <button v-if="test.change" type="button" class="key" data-test="change-in" @click="emit('change')">
      {{ tell('doNext.itIsInStartIts', { change: test.change }) }}
    </button>
    <button v-if="chosen" type="button" class="key quiet" @click="emit('proposed')">
      {{ tell('doNext.backToTheNextTest') }}
    </button>
    <p class="brief" :class="{ asked: why }" data-test="because">{{ test.why }}</p>
    <div v-if="why" data-test="why-list">
      <PlanTree v-if="plan?.length && !chosen" :plan="plan" />
      <ul v-else class="why">
        <li v-for="o in test.outcomes" :key="o.expected">
          {{ o.expected }} ({{ percent(o.probability) }}):
          {{ o.ends || o.suspects.join(', ') || tell('doNext.notKnownYetTakeIt') }}
        </li>
      </ul>
    </div>
    <ul v-if="other" class="others">
      <li v-for="t in others" :key="t.id">
        <button type="button" class="key" @click="emit('choose', t.id)">
          <span
            >{{ t.instruction }} <small>{{ t.mode }} · {{ t.moment }}</small></span
          >
          <span class="num">{{ minutes(t.minutes) }}</span>
        </button>
      </li>
    </ul>
    <ul class="outcomes" :aria-label="tell('doNext.whatItMayShow')">
      <li v-for="o in test.outcomes" :key="o.expected" :class="{ nominal: o.nominal }">
        <strong class="num">{{ o.expected }}</strong><span class="num">{{ percent(o.probability) }}</span>
        <span class="who"
          >{{ o.ends || o.suspects.slice(0, 2).join(', ') || tell('doNext.takeItAgain')
          }}{{ !o.ends && o.suspects.length > 2 ? ' …' : '' }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
.next {
  border-bottom: 2px solid var(--line);
  border-left: 12px solid var(--next);
  padding: 0.6rem 1rem 0.5rem;
  background: var(--next-soft);
}
.line {
  display: flex;
  gap: 1rem;
  align-items: baseline;
}
.tag {
  font-size: 0.875rem;
  background: var(--next);
  color: var(--next-ink);
  padding: 0.25rem 0.5rem;
  margin: 0;
  white-space: nowrap;
}
.what {
  flex: 1;
  font-size: 1.375rem;
  font-weight: 700;
  margin: 0;
  line-height: 1.25;
}
.min {
  margin: 0;
  white-space: nowrap;
}
.how {
  margin: 0.1rem 0 0.25rem;
  font-size: 1.0625rem;
}
.tools {
  display: flex;
  gap: 0.25rem;
  margin-block: -0.5rem;
}
.meanwhile {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem 0.5rem;
  align-items: baseline;
  margin: 0.1rem 0 0.35rem;
}
.meanwhile .key {
  font-weight: 400;
  text-align: left;
}
.key.quiet {
  background: none;
}
.brief {
  color: var(--ink-soft);
  font-size: 0.875rem;
  margin: 0.1rem 0 0.25rem;
}
.why,
.others {
  padding-left: 1.1rem;
  margin: 0 0 0.5rem;
}
.others {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 0.35rem;
  max-height: 40vh;
  overflow: auto;
}
.others .key {
  width: 100%;
  justify-content: space-between;
  text-align: left;
  font-weight: 400;
}
.others small {
  color: var(--ink-soft);
}
.outcomes {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 0.6rem;
  padding: 0;
  margin: 0;
}
.outcomes li {
  display: flex;
  gap: 0 0.5rem;
  align-items: baseline;
  border-left: 3px dotted var(--line);
  padding: 0 0.5rem;
  font-size: 0.875rem;
  max-width: 25rem;
  min-width: 0;
}
.outcomes .num {
  white-space: nowrap;
}
.outcomes li.nominal {
  border-left: 5px solid var(--line);
}
.who {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  color: var(--ink-soft);
  font-size: 0.8125rem;
}
@media (max-width: 700px) {
  .what {
    font-size: 1.0625rem;
  }
  .how {
    font-size: 0.9375rem;
  }
  .caution {
    font-size: 0.8125rem;
  }
  .next {
    padding: 0.4rem 0.6rem;
    border-left-width: 8px;
  }
  .line {
    flex-wrap: wrap;
    gap: 0.25rem 0.5rem;
  }
  .tools {
    order: 1;
    width: 100%;
    margin-block: -0.4rem;
  }
  .brief:not(.asked) {
    display: none;
  }
  .outcomes .who,
  .outcomes li:nth-child(n + 5),
  .min {
    display: none;
  }
}
</style>
