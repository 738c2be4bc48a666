<script setup lang="ts">
import { computed } from 'vue'
import { useHandle } from './handle'
import { clock } from './format'
import { tell } from '../words/words'

const props = defineProps<{ seconds: number }>()
const emit = defineEmits<{ done: [] }>()
const { page, add } = useHandle()
const last = computed(() => page.value!.taps.at(-1))
const rows = computed(() =>
  page
    .value!.sequence.filter((s) => s.begins.length && s.begins[0]! > 0)
    .map((s) => ({ ...s, due: s.begins[0]!, late: !s.said && props.seconds > (s.lateAfter[0] ?? Infinity) }))
    .sort((a, b) => a.due - b.due),
)
const seconds = () => Math.round(props.seconds * 10) / 10

/** The watching is over; what did not come is found out from what was tapped. */
async function done() {
  if (await add({ kind: 'WATCHED', seconds: seconds() })) emit('done')
}
</script>

<template>
  <section class="taps" :aria-label="tell('sequenceTaps.whatYouSeeAndHear')" data-test="sequence-taps">
    <p class="eyebrow">
      <strong class="num now">{{ clock(props.seconds) }}</strong> {{ tell('sequenceTaps.tapEachStageAsIt') }}
    </p>
    <div class="keys">
      <span v-for="r in rows" :key="r.channel" class="one" :class="{ late: r.late, lit: r.on }">
        <button
          type="button"
          class="key"
          :aria-pressed="r.on"
          :data-test="`event-${r.channel}`"
          @click="add({ kind: 'SEEN', channel: r.channel, begins: !r.on, seconds: seconds() })"
        >
          {{ r.label }} {{ r.on ? tell('sequenceTaps.ends') : tell('sequenceTaps.begins') }}
          <small class="num">{{ r.late ? tell('sequenceTaps.late') : r.said ? '' : clock(r.due) }}</small>
        </button>
        <button
          v-if="r.late"
          type="button"
          class="key quiet"
          :data-test="`not-seen-${r.channel}`"
          @click="add({ kind: 'MISSED', channel: r.channel, seconds: seconds() })"
        >
          {{ tell('sequenceTaps.neverStarts') }}
        </button>
      </span>
    </div>
    <button type="button" class="key done" data-test="watched" @click="done">
      {{ tell('sequenceTaps.nothingMoreHappensDone') }}
    </button>
    <button
      v-if="last"
      type="button"
      class="key quiet"
      data-test="undo-event"
      @click="add({ kind: 'TAKE_BACK', supersedes: last.id })"
    >
      {{
        tell('sequenceTaps.takeBack', {
          label: last.label,
          ended: last.begins ? tell('sequenceTaps.began') : tell('common.ended'),
          clock: clock(last.seconds),
        })
      }}
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
