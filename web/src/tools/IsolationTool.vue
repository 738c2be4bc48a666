<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { conductorColour } from '../visit/conductor'
import ControlForm from './ControlForm.vue'
import ToolPage from './ToolPage.vue'
import { useComputed } from './useTool'
import { tell } from '../words/words'

type Input = components['schemas']['IsolationInput']
type View = components['schemas']['IsolationView']
const usual: Input = {
  building: {
    label: tell('isolationTool.relayBoard'),
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
    label: tell('isolationTool.rooftop'),
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
const sides = { BUILDING: tell('isolationTool.building'), UNIT: tell('isolationTool.unit') } as const

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
  <ToolPage
    :name="tell('common.twoSupplies')"
    :title="tell('isolationTool.keepTwoSuppliesApart')"
    :computed="Boolean(view)"
    :problem="problem"
  >
    <template #about>
      <p class="soft no-print">
        {{ tell('isolationTool.theBuildingsTransformerPowersThe') }}
      </p>
    </template>
    <template #inputs>
      <ControlForm
        v-model="input.building"
        :title="tell('isolationTool.theBuildingsControl')"
        outputs
        @update:model-value="asPlanned"
      />
      <ControlForm v-model="input.unit" :title="tell('isolationTool.theUnit')" @update:model-value="asPlanned" />
      <label>
        {{ tell('isolationTool.aRelaysCoilVa') }}
        <input v-model.number="input.coilVa" type="number" step="any" class="form-control field num" />
      </label>
      <label>
        {{ tell('isolationTool.cableFtOneWay') }}
        <input v-model.number="input.feet" type="number" step="any" class="form-control field num" />
      </label>
      <label>
        {{ tell('isolationTool.cableAwg') }}
        <select v-model.number="input.gauge" class="form-select field">
          <option v-for="g in [14, 16, 18, 20, 22]" :key="g" :value="g">{{ g }}</option>
        </select>
      </label>
    </template>
    <template v-if="view">
      <p class="said" data-test="isolation-said">
        {{ view.apart ? tell('isolationTool.apartInEveryPositionOf') : tell('isolationTool.theTwoSuppliesMeet') }}
      </p>
      <p v-if="!view.apart" class="problem">
        {{ tell('isolationTool.markedWiresJoinThemDo') }}
      </p>
      <ol class="wires">
        <li v-for="(w, i) in view.wires" :key="i" :class="{ crosses: w.crosses }" :data-test="`wire-${i}`">
          <span class="swatch" :style="{ background: conductorColour(w.colour) }" aria-hidden="true"></span>
          <span class="ends"
            ><strong>{{ w.from }}</strong> {{ tell('common.to2') }} <strong>{{ w.to }}</strong></span
          >
          <span class="soft"
            >{{ w.colour }}, {{ sides[w.supply] }}{{ w.crosses ? tell('isolationTool.crosses') : '' }}</span
          >
          <span class="tick" aria-hidden="true"></span>
          <select
            v-if="moving === i"
            class="form-select field no-print"
            :aria-label="tell('isolationTool.whereLands', { from: w.from })"
            @change="land(i, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">{{ tell('isolationTool.foundOn') }}</option>
            <option v-for="t in view.terminals" :key="t">{{ t }}</option>
          </select>
          <button v-else type="button" class="key quiet no-print" @click="moving = i">
            {{ tell('isolationTool.foundElsewhere') }}
          </button>
        </li>
      </ol>
      <button v-if="Object.keys(input.landings).length" type="button" class="key no-print" @click="asPlanned">
        {{ tell('isolationTool.backToThePlan') }}
      </button>
      <p v-if="view.alone.length" class="mt-2">
        {{
          tell('isolationTool.withoutACounterpart', {
            value: view.alone
              .map((a) => tell('isolationTool.ofThe', { terminal: a.terminal, side: sides[a.side] }))
              .join(', '),
          })
        }}
      </p>
      <ul class="loads">
        <li v-for="l in view.loads" :key="l.side">
          {{ tell('isolationTool.transformerOfThe', { side: sides[l.side] }) }}
          <strong class="num">{{ l.va.toFixed(0) }} VA</strong> {{ tell('common.of') }}
          <span class="num">{{ l.ratedVa.toFixed(0) }}</span>,
          {{ l.fits ? tell('isolationTool.itCarriesThat') : tell('isolationTool.tooMuchForIt') }};
          {{ l.fuseAmps ? tell('isolationTool.fuseA', { fuseAmps: l.fuseAmps }) : tell('isolationTool.noUsualFuseFits')
          }}{{ l.classTwo ? '' : tell('isolationTool.aboveClass2') }}
        </li>
        <li>
          {{ tell('isolationTool.atTheCoilsWithEvery') }}
          <strong class="num">{{ view.coilVolts.toFixed(1) }} V</strong>,
          {{ view.pullsIn ? tell('isolationTool.theyPullIn') : tell('isolationTool.tooLittleAThickerOr') }}
        </li>
      </ul>
      <button type="button" class="key no-print" @click="print">{{ tell('isolationTool.printTheList') }}</button>
      <p class="caution mt-3">
        {{ tell('isolationTool.bothSuppliesOffAndProven') }}
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
