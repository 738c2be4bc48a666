<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandle } from './handle'
import TemporaryChange from './TemporaryChange.vue'

const { visit, page, unit, add } = useHandle()
const calls = computed(() => unit.value!.calls)
const closed = computed(() => Boolean(visit.value!.closedAt))
const standing = computed(() => page.value!.changes.map((c) => c.what))
const other = ref(false)
</script>

<template>
  <section aria-labelledby="call-title" class="call">
    <h2 id="call-title" class="h5">Place the call</h2>
    <div v-for="c in calls" :key="c.label">
      <ol class="order">
        <template v-if="c.order === 'POWER_THEN_CALL'"
          ><li>Power on</li>
          <li>then the call</li></template
        >
        <template v-else
          ><li>Call first</li>
          <li>then power</li></template
        >
      </ol>
      <p class="soft">Why in this order: {{ c.why }}.</p>
      <p class="put">{{ c.label }}</p>
      <p v-if="c.from && c.to" class="pts">
        <strong>{{ c.from }}</strong> to <strong>{{ c.to }}</strong>
      </p>
      <p v-if="c.hold" class="soft">Meanwhile: {{ c.hold }}.</p>
      <button
        v-if="!closed && c.change && !standing.includes(c.changed)"
        type="button"
        class="key"
        data-test="call-in"
        @click="add({ kind: 'CHANGE_IN', test: c.change })"
      >
        It is in: start the clock
      </button>
      <p v-else-if="!closed && c.change" class="out">It is in. Take it out before the visit is closed.</p>
    </div>
    <p class="caution">
      A call by a jumper is a test. Limits, rollouts, pressure switches and detectors are never bypassed to run a unit.
    </p>
    <button v-if="!closed" type="button" class="key quiet" @click="other = !other">another temporary change</button>
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
.put {
  font-size: 1.25rem;
  font-weight: 700;
  margin: 0.25rem 0;
}
.out {
  font-weight: 700;
}
.caution {
  margin-top: 0.5rem;
}
</style>
