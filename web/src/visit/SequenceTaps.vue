<script setup lang="ts">
import { computed, watch } from 'vue'
import { useHandle } from './handle'
import { clock } from './format'
import { tell } from '../words/words'

/** A proving run is over once all that is expected of it came; any other is watched until nothing more happens. */
const props = defineProps<{ seconds: number; proving?: boolean }>()
const emit = defineEmits<{ done: [] }>()
const { page, add } = useHandle()
const last = computed(() => page.value!.taps.at(-1))
/** So many are big: what comes next, and what may come out of turn. */
const BIG = 3
const rows = computed(() =>
  page
    .value!.sequence.filter((s) => s.begins.length && s.begins[0]! > 0)
    .map((s) => {
      const due = (s.on ? s.ends[0] : s.begins[0]) ?? 0
      return {
        ...s,
        due,
        // how far its time has run towards it, to be seen from the corner of an eye
        near: due > 0 ? Math.min(1, props.seconds / due) : 0,
        late: !s.said && props.seconds > (s.lateAfter[0] ?? Infinity),
        waits: s.perceived && !s.complete && (!s.said || (s.on && s.ends.length > 0)),
      }
    })
    .sort((a, b) => a.due - b.due),
)
const coming = computed(() => rows.value.filter((r) => r.waits).slice(0, BIG))
const rest = computed(() => rows.value.filter((r) => !coming.value.includes(r)))
type Row = (typeof rows.value)[number]
const name = (r: Row) => `${r.label} ${r.on ? tell('sequenceTaps.ends') : tell('sequenceTaps.begins')}`
const tap = (r: Row) => add({ kind: 'SEEN', channel: r.channel, begins: !r.on, seconds: seconds() })
const seconds = () => Math.round(props.seconds * 10) / 10

/** The watching is over; what did not come is found out from what was tapped. */
async function done() {
  if (await add({ kind: 'WATCHED', seconds: seconds() })) emit('done')
}
const all = computed(() => rows.value.length > 0 && rows.value.every((r) => r.complete || !r.perceived))
watch(all, (came) => came && props.proving && done())
</script>

<template>
  <section class="taps" :aria-label="tell('sequenceTaps.whatYouSeeAndHear')" data-test="sequence-taps">
    <p class="eyebrow">
      <strong class="num now">{{ clock(props.seconds) }}</strong> {{ tell('sequenceTaps.tapEachStageAsIt') }}
    </p>
    <ul class="coming">
      <li v-for="r in coming" :key="r.channel" :class="{ late: r.late }">
        <button type="button" class="key stage" :aria-pressed="r.on" :data-test="`event-${r.channel}`" @click="tap(r)">
          <i class="near" :style="{ width: `${100 * r.near}%` }" aria-hidden="true"></i>
          <span>{{ name(r) }}</span>
          <small class="num">{{ r.late ? tell('sequenceTaps.late') : clock(r.due) }}</small>
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
      </li>
    </ul>
    <div class="keys">
      <button
        v-for="r in rest"
        :key="r.channel"
        type="button"
        class="key"
        :class="{ lit: r.on }"
        :aria-pressed="r.on"
        :data-test="`event-${r.channel}`"
        @click="tap(r)"
      >
        {{ name(r) }}
      </button>
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
.coming {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.coming li {
  display: flex;
  gap: 6px;
}
.stage {
  position: relative;
  display: flex;
  flex: 1;
  justify-content: space-between;
  align-items: center;
  min-height: 56px;
  overflow: hidden;
  font-size: 1.25rem;
}
.stage > span,
.stage > small {
  position: relative;
}
.near {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--next-soft);
  border-right: 4px solid var(--next);
}
.late .stage {
  border-style: dashed;
  border-width: 3px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
.lit {
  background: var(--ink);
  color: var(--paper);
}
.now {
  font-size: 1.5rem;
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
