<script setup lang="ts">
import { computed } from 'vue'
import { useHandle } from './handle'
import { clock } from './format'

const props = defineProps<{ seconds: number }>()
const emit = defineEmits<{ done: [] }>()
const { visit, add } = useHandle()
const sequence = computed(() => visit.value!.diagnosis.sequence)
const tapped = computed(() => visit.value!.diagnosis.log.filter((l) => l.counts && /^(EVENT|NOT_SEEN)$/.test(l.kind)))
const last = computed(() => tapped.value.at(-1))
/** Whether a line was last said to have begun. */
const on = (label: string) =>
  tapped.value
    .filter((l) => l.what.startsWith(`${label} `))
    .at(-1)
    ?.what.endsWith('began') ?? false
const said = (label: string) => tapped.value.some((l) => l.what.startsWith(`${label} `))
const rows = computed(() =>
  sequence.value
    .filter((s) => s.begins.length && s.begins[0]! > 0)
    .map((s) => ({
      ...s,
      due: s.begins[0]!,
      late: !said(s.label) && props.seconds > (s.lateAfter[0] ?? Infinity),
      lit: on(s.label),
      said: said(s.label),
    }))
    .sort((a, b) => a.due - b.due),
)
const seconds = () => Math.round(props.seconds * 10) / 10

/** The watching is over: what is late by now and was not seen did not come. */
async function done() {
  const until = seconds()
  for (const r of rows.value.filter((row) => row.perceived && row.late)) {
    if (!(await add({ kind: 'NOT_SEEN', channel: r.channel, seconds: until }))) return
  }
  emit('done')
}
</script>

<template>
  <section class="taps" aria-label="What you see and hear" data-test="sequence-taps">
    <p class="eyebrow">
      <strong class="mono now">{{ clock(props.seconds) }}</strong> tap what begins or ends, as you see or hear it
    </p>
    <div class="keys">
      <span v-for="r in rows" :key="r.channel" class="one" :class="{ late: r.late, lit: r.lit }">
        <button
          type="button"
          class="key"
          :aria-pressed="r.lit"
          :data-test="`event-${r.channel}`"
          @click="add({ kind: 'EVENT', channel: r.channel, begins: !r.lit, seconds: seconds() })"
        >
          {{ r.label }} {{ r.lit ? 'ends' : 'begins' }}
          <small class="mono">{{ r.late ? 'late' : r.said ? '' : clock(r.due) }}</small>
        </button>
        <button
          v-if="r.late"
          type="button"
          class="key quiet"
          :data-test="`not-seen-${r.channel}`"
          @click="add({ kind: 'NOT_SEEN', channel: r.channel, seconds: seconds() })"
        >
          does not come
        </button>
      </span>
    </div>
    <button type="button" class="key done" data-test="watched" @click="done">Nothing more comes: done</button>
    <button
      v-if="last"
      type="button"
      class="key quiet"
      data-test="undo-event"
      @click="add({ kind: 'TAKE_BACK', supersedes: last.id })"
    >
      take back: {{ last.what }}, {{ last.found }}
    </button>
  </section>
</template>

<style scoped lang="scss">
.taps {
  border-bottom: 1px solid var(--line-soft);
  padding-bottom: 0.25rem;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.one {
  display: inline-flex;
}
.lit .key:first-child {
  background: var(--ink);
  color: var(--paper);
}
.late .key:first-child {
  border-style: dashed;
  border-width: 3px;
}
.now {
  font-size: 1.25rem;
  color: var(--ink);
}
button.done {
  margin-top: 0.5rem;
  width: 100%;
}
small {
  font-weight: 400;
}
</style>
