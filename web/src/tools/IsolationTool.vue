<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { conductorColour } from '../visit/conductor'
import ControlForm from './ControlForm.vue'
import ToolPage from './ToolPage.vue'
import { useComputed } from './useTool'

type Input = components['schemas']['IsolationInput']
type View = components['schemas']['IsolationView']
const usual: Input = {
  building: {
    label: 'relay board',
    hot: '24V',
    common: 'GND',
    ratedVa: 40,
    ownVa: 8,
    terminals: [
      { name: 'DO1', function: 'COOL', va: 0 },
      { name: 'DO2', function: 'FAN', va: 0 },
      { name: 'DO3', function: 'HEAT', va: 0 },
    ],
  },
  unit: {
    label: 'rooftop',
    hot: 'R',
    common: 'C',
    ratedVa: 75,
    ownVa: 20,
    terminals: [
      { name: 'Y1', function: 'COOL', va: 12 },
      { name: 'G', function: 'FAN', va: 6 },
      { name: 'W1', function: 'HEAT', va: 10 },
    ],
  },
  coilVa: 1.5,
  feet: 60,
  gauge: 18,
  landings: {},
}
/** Typed once, there the next time; on this device only. */
const input = useLocalStorage<Input>('isolation', usual, { deep: true })
const { result: view, problem } = useComputed('isolation', input, (now) =>
  answer<View>(api.POST('/api/tools/isolation', { body: now })),
)
const moving = ref<number | null>(null)
const sides = { BUILDING: 'building', UNIT: 'unit' } as const

function land(wire: number, terminal: string) {
  input.value = { ...input.value, landings: { ...input.value.landings, [wire]: terminal } }
  moving.value = null
}
function asPlanned() {
  input.value = { ...input.value, landings: {} }
}
function print() {
  window.print()
}
</script>

<template>
  <ToolPage name="Two supplies" title="Keep two supplies apart" :computed="Boolean(view)" :problem="problem">
    <template #about>
      <p class="soft no-print">
        The building's transformer powers the relay coils. The unit's own 24 V goes through their contacts to its
        inputs.
      </p>
    </template>
    <template #inputs>
      <ControlForm v-model="input.building" title="The building's control" outputs @update:model-value="asPlanned" />
      <ControlForm v-model="input.unit" title="The unit" @update:model-value="asPlanned" />
      <label>
        A relay's coil, VA
        <input v-model.number="input.coilVa" type="number" step="any" class="form-control field num" />
      </label>
      <label>
        Cable, ft one way
        <input v-model.number="input.feet" type="number" step="any" class="form-control field num" />
      </label>
      <label>
        Cable, AWG
        <select v-model.number="input.gauge" class="form-select field">
          <option v-for="g in [14, 16, 18, 20, 22]" :key="g" :value="g">{{ g }}</option>
        </select>
      </label>
    </template>
    <template v-if="view">
      <p class="said" data-test="isolation-said">
        {{ view.apart ? 'Apart in every position of the contacts' : 'The two supplies meet' }}
      </p>
      <p v-if="!view.apart" class="problem">
        Marked wires join them. Do not power it up. It kills a board, and the next one too.
      </p>
      <ol class="wires">
        <li v-for="(w, i) in view.wires" :key="i" :class="{ crosses: w.crosses }" :data-test="`wire-${i}`">
          <span class="swatch" :style="{ background: conductorColour(w.colour) }" aria-hidden="true"></span>
          <span class="ends"
            ><strong>{{ w.from }}</strong> to <strong>{{ w.to }}</strong></span
          >
          <span class="soft">{{ w.colour }}, {{ sides[w.supply] }}{{ w.crosses ? ', crosses' : '' }}</span>
          <span class="tick" aria-hidden="true"></span>
          <select
            v-if="moving === i"
            class="form-select field no-print"
            :aria-label="`Where ${w.from} lands`"
            @change="land(i, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">found on ...</option>
            <option v-for="t in view.terminals" :key="t">{{ t }}</option>
          </select>
          <button v-else type="button" class="key quiet no-print" @click="moving = i">found elsewhere</button>
        </li>
      </ol>
      <button v-if="Object.keys(input.landings).length" type="button" class="key no-print" @click="asPlanned">
        Back to the plan
      </button>
      <p v-if="view.alone.length" class="mt-2">
        Without a counterpart: {{ view.alone.map((a) => `${a.terminal} of the ${sides[a.side]}`).join(', ') }}.
      </p>
      <ul class="loads">
        <li v-for="l in view.loads" :key="l.side">
          Transformer of the {{ sides[l.side] }}: <strong class="num">{{ l.va.toFixed(0) }} VA</strong> of
          <span class="num">{{ l.ratedVa.toFixed(0) }}</span>, {{ l.fits ? 'it carries that' : 'too much for it' }};
          {{ l.fuseAmps ? `fuse ${l.fuseAmps} A` : 'no usual fuse fits' }}{{ l.classTwo ? '' : '; above class 2' }}
        </li>
        <li>
          At the coils with every call on: <strong class="num">{{ view.coilVolts.toFixed(1) }} V</strong>,
          {{ view.pullsIn ? 'they pull in' : 'too little: a thicker or shorter cable' }}
        </li>
      </ul>
      <button type="button" class="key no-print" @click="print">Print the list</button>
      <p class="caution mt-3">
        Both supplies off and proven off before you move a wire. With one off, the other still powers wires. Colors are
        common practice. The maker and the local code come first.
      </p>
    </template>
  </ToolPage>
</template>

<style scoped lang="scss">
.wires {
  padding: 0;
  list-style-position: inside;
}
.wires li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
.wires li.crosses {
  border-left: 8px double var(--danger);
  padding-left: 0.5rem;
}
.swatch {
  width: 26px;
  height: 8px;
  border: 1px solid var(--ink);
}
.ends {
  flex: 1 1 14rem;
}
.tick {
  display: none;
}
.wires select {
  width: auto;
}
@media print {
  .tick {
    display: inline-block;
    width: 16px;
    height: 16px;
    border: 2px solid var(--ink);
  }
}
</style>
