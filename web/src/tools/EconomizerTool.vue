<script setup lang="ts">
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import AirChart from './AirChart.vue'
import ToolPage from './ToolPage.vue'
import type { Air, AirState } from './airChart'
import { useTool } from './useTool'

type Input = components['schemas']['EconomizerInput']
const usual = {
  outdoorF: 54,
  outdoorHumidity: 60,
  returnF: 75,
  returnHumidity: 50,
  mixedF: null as number | null,
  altitudeFt: 0,
  zone: '5B',
  changeover: 'DRY_BULB',
  least: 20,
  setF: 53,
}
const { inputs, result, problem } = useTool('economizer', usual, (now) =>
  answer<Air>(
    api.POST('/api/tools/economizer', {
      body: { ...now, mixedF: now.mixedF ?? undefined, changeover: now.changeover as Input['changeover'] },
    }),
  ),
)
const zones = ['1A', '1B', '2A', '2B', '3A', '3B', '3C', '4A', '4B', '4C', '5A', '5B', '5C', '6A', '6B', '7', '8']
const changeovers: Record<Input['changeover'], string> = {
  DRY_BULB: 'its temperature',
  DIFFERENTIAL_DRY_BULB: 'cooler than the return air',
  ENTHALPY: 'its heat (enthalpy)',
  DIFFERENTIAL_ENTHALPY: 'less heat than the return air',
}
const numbers: {
  key: 'outdoorF' | 'outdoorHumidity' | 'returnF' | 'returnHumidity' | 'least' | 'setF' | 'altitudeFt'
  label: string
}[] = [
  { key: 'outdoorF', label: 'Outdoors, °F' },
  { key: 'outdoorHumidity', label: 'Outdoors, % humidity' },
  { key: 'returnF', label: 'Return air, °F' },
  { key: 'returnHumidity', label: 'Return air, % humidity' },
  { key: 'least', label: 'People need, % outdoor air' },
  { key: 'setF', label: 'Mixture held at, °F' },
  { key: 'altitudeFt', label: 'Height, ft' },
]
const states: { word: string; of: (air: Air) => AirState }[] = [
  { word: 'outdoors', of: (a) => a.outdoor },
  { word: 'return', of: (a) => a.returned },
  { word: 'mixed', of: (a) => a.mixed },
]
function why(air: Air) {
  const than = {
    TEMPERATURE: air.free ? `${air.limitF} °F` : 'the limit of temperature',
    HEAT: 'the limit of heat',
    RETURN_TEMPERATURE: 'the return air',
    RETURN_HEAT: 'the heat of the return air',
  }[air.by]
  return air.free ? `It is held against ${than} and is below.` : `It is above ${than}.`
}
</script>

<template>
  <ToolPage name="Economizer" title="What should the economizer do now?" :computed="Boolean(result)" :problem="problem">
    <template #inputs>
      <label v-for="n in numbers" :key="n.key">
        {{ n.label }}
        <input
          v-model.number="inputs[n.key]"
          type="number"
          step="any"
          inputmode="decimal"
          class="form-control field num"
        />
      </label>
      <label>
        Mixture measured, °F
        <input
          v-model.number="inputs.mixedF"
          type="number"
          step="any"
          inputmode="decimal"
          class="form-control field num"
          placeholder="none"
        />
      </label>
      <label>
        Climate zone
        <select v-model="inputs.zone" class="form-select field">
          <option v-for="z in zones" :key="z">{{ z }}</option>
        </select>
      </label>
      <label>
        The board judges by
        <select v-model="inputs.changeover" class="form-select field">
          <option v-for="(text, key) in changeovers" :key="key" :value="key">{{ text }}</option>
        </select>
      </label>
    </template>
    <template v-if="result">
      <p class="said" data-test="economizer-said">
        {{ result.free ? 'Outdoors cools for nothing' : 'Outdoors is not good enough' }}
      </p>
      <p>{{ why(result) }}</p>
      <p v-if="!result.allowed" class="problem" data-test="economizer-not-allowed">
        Stop: energy codes do not allow this comparison in zone {{ inputs.zone }}. Cool, damp air costs more to dry than
        it saves. Set a fixed {{ result.limitF }} °F changeover, or compare enthalpy (ASHRAE 90.1, from memory).
      </p>
      <p class="big num" data-test="economizer-volts">
        {{ result.volts.toFixed(1) }} V DC
        <span class="soft">at the actuator for {{ result.share.toFixed(0) }}% outdoor air</span>
      </p>
      <p v-if="result.measured">
        Three thermometers say <strong class="num">{{ result.measured.percent.toFixed(0) }}%</strong>, likely range ±
        <span class="num">{{ (2 * result.measured.sigma).toFixed(0) }}</span>.
      </p>
      <p v-else-if="inputs.mixedF !== null">
        Three thermometers do not help here. Outdoors and return are too close, or one of them is wrong.
      </p>
      <AirChart :air="result" />
      <table class="states">
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">°F</th>
            <th scope="col">%</th>
            <th scope="col">wet bulb</th>
            <th scope="col">dew point</th>
            <th scope="col">Btu/lb</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in states" :key="s.word">
            <th scope="row">{{ s.word }}</th>
            <td>{{ s.of(result).dryBulb.toFixed(1) }}</td>
            <td>{{ s.of(result).humidity.toFixed(0) }}</td>
            <td>{{ s.of(result).wetBulb.toFixed(1) }}</td>
            <td>{{ s.of(result).dewPoint.toFixed(1) }}</td>
            <td>{{ s.of(result).btu.toFixed(1) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        Limits by climate: ASHRAE 90.1, from memory. Moist air: ASHRAE Fundamentals. 2 to 10 V and 53 °F are common
        practice. The maker and the local code come first.
      </p>
      <p class="caution">
        Take the belt off only with the power off and proven off. Blades move by themselves: fingers out.
      </p>
    </template>
  </ToolPage>
</template>

<style scoped lang="scss">
.big {
  font-size: 2.5rem;
}
.big .soft {
  font-size: 1rem;
}
.states {
  width: 100%;
  margin-block: 0.75rem;
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: 0.25rem 0.4rem;
    border-bottom: 1px solid var(--line-soft);
    text-align: right;
  }
  th:first-child {
    text-align: left;
  }
}
</style>
