<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { RungStep } from '../api/client'
import { conductorColour } from './conductor'
import { percent } from './format'
import { opens } from './symbols'
import UprightSymbol from './UprightSymbol.vue'
import { tell } from '../words/words'

/**
 * One rung of the ladder diagram, turned upright: from where it is fed, down to where the current goes back. What lies far from the probes is folded.
 * Without probes all of it is shown.
 */
const props = defineProps<{
  steps: RungStep[]
  black?: string | null
  red?: string | null
  closed?: boolean
}>()
const emit = defineEmits<{ pick: [net: string] }>()

/** So many places are shown above and below the probes. */
const AROUND = 2
const whole = ref(false)
watch(
  () => [props.red, props.black],
  () => (whole.value = false),
)
const probe = (s: RungStep) => (s.net && s.net === props.red ? 'R' : s.net && s.net === props.black ? 'B' : '')
const window = computed(() => {
  const probed = props.steps.flatMap((s, i) => (probe(s) ? [i] : []))
  if (whole.value || !probed.length) return { from: 0, to: props.steps.length }
  return { from: Math.max(0, probed[0]! - AROUND), to: Math.min(props.steps.length, probed.at(-1)! + AROUND + 1) }
})
const shown = computed(() => props.steps.slice(window.value.from, window.value.to))
const folded = computed(() => props.steps.length - shown.value.length)
const suspect = (s: RungStep) => s.state?.suspected ?? 0
</script>

<template>
  <div v-if="steps.length" class="rung" data-test="rung">
    <button
      v-if="folded || whole"
      type="button"
      class="key quiet"
      data-test="whole-rung"
      :aria-expanded="whole"
      @click="whole = !whole"
    >
      {{ whole ? tell('rungView.onlyAroundTheProbes') : tell('rungView.moreOnThisRung', { folded }) }}
    </button>
    <ol>
      <li v-for="(s, i) in shown" :key="`${s.net ?? ''}-${window.from + i}`">
        <div
          v-if="s.by && (i > 0 || window.from === 0)"
          class="by"
          :class="{ live: s.live, sound: s.state?.sound, suspect: suspect(s) > 0 }"
        >
          <UprightSymbol :symbol="s.by" :closed="s.state?.closed ?? true" :height="40" />
          <span v-if="s.what" class="what">
            <span class="name">{{ s.what }}</span>
            <span v-if="s.state && opens(s.by)" class="soft">{{
              s.state.closed ? tell('common.closed') : tell('common.open')
            }}</span>
            <strong v-if="suspect(s)">{{ percent(suspect(s)) }}</strong>
            <span v-else-if="s.state?.sound" class="soft">{{ tell('rungView.sound') }}</span>
          </span>
        </div>
        <button
          v-if="s.net"
          type="button"
          class="place"
          :class="{ live: s.live, probed: probe(s) }"
          :disabled="closed"
          :data-test="`place-${s.net}`"
          @click="emit('pick', s.net)"
        >
          <span class="spot" aria-hidden="true"
            ><i v-if="probe(s)">{{ probe(s) }}</i
            ><b v-else></b
          ></span>
          <span class="label"
            >{{ s.label
            }}<span v-if="probe(s)" class="visually-hidden">{{
              tell('rungView.probeHere', { probe: probe(s) === 'R' ? tell('rungView.red') : tell('rungView.black') })
            }}</span>
            <span
              v-if="s.colour"
              class="wire"
              :style="{ background: conductorColour(s.colour) }"
              :title="s.colour"
            ></span
          ></span>
          <span class="volts num"
            ><strong v-if="s.found">{{ s.found }}</strong>
            <span class="soft">{{
              s.found ? tell('common.expected2', { expected: s.expected }) : s.expected
            }}</span></span
          >
        </button>
        <p v-else-if="s.ground" class="ground">
          <span class="spot" aria-hidden="true">⏚</span> {{ tell('rungView.ground') }}
        </p>
      </li>
    </ol>
  </div>
</template>

<style scoped lang="scss">
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.by {
  display: grid;
  grid-template-columns: 2.25rem minmax(0, 1fr);
  align-items: center;
  min-height: 40px;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.6rem;
}
.by.live {
  --symbol-ink: var(--ink);
  --symbol-width: 2.5;
}
.by.suspect .name {
  text-decoration: underline wavy;
  text-underline-offset: 0.25em;
}
.by.sound .name {
  text-decoration: line-through;
}
.place {
  width: 100%;
  min-height: 44px;
  display: grid;
  grid-template-columns: 2.25rem minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 0.25rem;
  border: 0;
  padding: 0;
  background: none;
  color: inherit;
  text-align: left;
}
.place.probed {
  background: var(--next-soft);
}
.spot {
  justify-self: center;
  text-align: center;
}
.spot b {
  display: block;
  width: 12px;
  height: 12px;
  border: 2px solid var(--ink);
  border-radius: 50%;
}
.place.live .spot b {
  background: var(--ink);
}
.spot i {
  display: grid;
  place-items: center;
  width: 1.7em;
  height: 1.7em;
  font-style: normal;
  font-weight: 700;
  background: var(--next);
  color: var(--next-ink);
}
.label {
  font-weight: 700;
}
.wire {
  display: inline-block;
  width: 6px;
  height: 1em;
  vertical-align: -0.15em;
  margin-left: 0.35rem;
  border: 1px solid var(--line);
}
.volts {
  text-align: right;
  display: grid;
}
.ground {
  display: grid;
  grid-template-columns: 2.25rem minmax(0, 1fr);
  margin: 0;
  min-height: 32px;
}
</style>
