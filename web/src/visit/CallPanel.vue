<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandle } from './handle'
import TemporaryChange from './TemporaryChange.vue'
import { tell } from '../words/words'

const { visit, page, unit, add } = useHandle()
const calls = computed(() => unit.value!.calls)
const first = computed(() => calls.value[0])
const leaving = computed(() => unit.value!.lamps.flatMap((l) => l.chart.filter((c) => c.leaves)))
const closed = computed(() => Boolean(visit.value!.closedAt))
const standing = computed(() => page.value!.changes.map((c) => c.what))
const other = ref(false)
</script>

<template>
  <section aria-labelledby="call-title" class="call">
    <h2 id="call-title" class="h5">{{ tell('callPanel.placeTheCall') }}</h2>
    <template v-if="first">
      <ol class="order">
        <template v-if="first.order === 'POWER_THEN_CALL'"
          ><li>{{ tell('callPanel.powerOn') }}</li>
          <li>{{ tell('callPanel.thenTheCall') }}</li></template
        >
        <template v-else
          ><li>{{ tell('callPanel.callFirst') }}</li>
          <li>{{ tell('callPanel.thenPower') }}</li></template
        >
      </ol>
      <p class="soft">{{ tell('callPanel.whyInThisOrder', { why: first.why }) }}</p>
      <p v-if="first.hold" class="soft">{{ tell('callPanel.meanwhile', { hold: first.hold }) }}</p>
    </template>
    <div v-for="c in calls" :key="c.label" class="one" data-test="one-call">
      <p class="put">{{ c.label }}</p>
      <p v-if="c.starts" class="soft">{{ tell('callPanel.aHealthyUnit', { starts: c.starts }) }}</p>
      <button
        v-if="!closed && c.change && !standing.includes(c.changed)"
        type="button"
        class="key"
        data-test="call-in"
        @click="add({ kind: 'CHANGE_IN', test: c.change })"
      >
        {{ tell('callPanel.itIsInStartThe') }}
      </button>
      <p v-else-if="!closed && c.change" class="out">{{ tell('callPanel.itIsInTakeIt') }}</p>
    </div>
    <section v-if="unit!.keys.length" aria-labelledby="keys-title" data-test="keys">
      <h3 id="keys-title" class="eyebrow">{{ tell('callPanel.selfTestsAndTestKeys') }}</h3>
      <div v-for="k in unit!.keys" :key="k.done" class="one">
        <p class="put">{{ k.done }}</p>
        <p class="soft">{{ tell('callPanel.aHealthyUnit', { starts: k.starts }) }}</p>
      </div>
    </section>
    <section v-if="leaving.length" aria-labelledby="leave-title" data-test="leaving">
      <h3 id="leave-title" class="eyebrow">{{ tell('callPanel.outOfALockout') }}</h3>
      <p v-for="l in leaving" :key="l.pattern" class="one">
        <strong>{{ l.says }}: {{ l.condition }}.</strong> {{ l.leaves }}
      </p>
    </section>
    <p class="caution">
      {{ tell('callPanel.aCallByAJumper') }}
    </p>
    <button v-if="!closed" type="button" class="key quiet" @click="other = !other">
      {{ tell('callPanel.anotherTemporaryChange') }}
    </button>
    <TemporaryChange v-if="other" @done="other = false" />
  </section>
</template>

<style scoped lang="scss">
.order {
  display: flex;
  gap: 1.25rem;
  list-style: none;
  padding: 0;
  margin: 0;
  font-weight: 700;
}
.order li + li::before {
  content: '→';
  margin-right: 1.25rem;
}
.one {
  border-top: 1px solid var(--line-soft);
  padding-block: 0.5rem;
  margin: 0;
}
.one p {
  margin: 0;
}
.put {
  font-size: 1.25rem;
  font-weight: 700;
  margin: 0.25rem 0;
}
.put::first-letter {
  text-transform: uppercase;
}
.out {
  font-weight: 700;
}
.caution {
  margin-top: 0.5rem;
}
</style>
