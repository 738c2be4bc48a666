<script setup lang="ts">
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import AirChart from './AirChart.vue'
import ToolPage from './ToolPage.vue'
import type { Air, AirState } from './airChart'
import { useTool } from './useTool'
import { tell } from '../words/words'

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
  DRY_BULB: tell('economizerTool.itsTemperature'),
  DIFFERENTIAL_DRY_BULB: tell('economizerTool.coolerThanTheReturnAir'),
  ENTHALPY: tell('economizerTool.itsHeatEnthalpy'),
  DIFFERENTIAL_ENTHALPY: tell('economizerTool.lessHeatThanTheReturn'),
}
const numbers: {
  key: 'outdoorF' | 'outdoorHumidity' | 'returnF' | 'returnHumidity' | 'least' | 'setF' | 'altitudeFt'
  label: string
}[] = [
  { key: 'outdoorF', label: 'Outdoors, °F' },
  { key: 'outdoorHumidity', label: tell('economizerTool.outdoorsHumidity') },
  { key: 'returnF', label: tell('economizerTool.returnAirF') },
  { key: 'returnHumidity', label: tell('economizerTool.returnAirHumidity') },
  { key: 'least', label: tell('economizerTool.peopleNeedOutdoorAir') },
  { key: 'setF', label: tell('economizerTool.mixtureHeldAtF') },
  { key: 'altitudeFt', label: tell('economizerTool.heightFt') },
]
const states: { word: string; of: (air: Air) => AirState }[] = [
  { word: tell('airChart.outdoors'), of: (a) => a.outdoor },
  { word: tell('airChart.return'), of: (a) => a.returned },
  { word: tell('airChart.mixed'), of: (a) => a.mixed },
]
function why(air: Air) {
  const than = {
    TEMPERATURE: air.free ? `${air.limitF} °F` : tell('economizerTool.theLimitOfTemperature'),
    HEAT: tell('economizerTool.theLimitOfHeat'),
    RETURN_TEMPERATURE: tell('economizerTool.theReturnAir'),
    RETURN_HEAT: tell('economizerTool.theHeatOfTheReturn'),
  }[air.by]
  return air.free ? tell('economizerTool.itIsHeldAgainstAnd', { than }) : tell('economizerTool.itIsAbove', { than })
}
</script>

<template>
  <ToolPage
    :name="tell('common.economizer')"
    :title="tell('economizerTool.whatShouldTheEconomizerDo')"
    :computed="Boolean(result)"
    :problem="problem"
  >
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
        {{ tell('economizerTool.mixtureMeasuredF') }}
        <input
          v-model.number="inputs.mixedF"
          type="number"
          step="any"
          inputmode="decimal"
          class="form-control field num"
          :placeholder="tell('economizerTool.none')"
        />
      </label>
      <label>
        {{ tell('economizerTool.climateZone') }}
        <select v-model="inputs.zone" class="form-select field">
          <option v-for="z in zones" :key="z">{{ z }}</option>
        </select>
      </label>
      <label>
        {{ tell('economizerTool.theBoardJudgesBy') }}
        <select v-model="inputs.changeover" class="form-select field">
          <option v-for="(text, key) in changeovers" :key="key" :value="key">{{ text }}</option>
        </select>
      </label>
    </template>
    <template v-if="result">
      <p class="said" data-test="economizer-said">
        {{
          result.free ? tell('economizerTool.outdoorsCoolsForNothing') : tell('economizerTool.outdoorsIsNotGoodEnough')
        }}
      </p>
      <p>{{ why(result) }}</p>
      <p v-if="!result.allowed" class="problem" data-test="economizer-not-allowed">
        {{ tell('economizerTool.stopEnergyCodesDoNot', { zone: inputs.zone, limitF: result.limitF }) }}
      </p>
      <p class="big num" data-test="economizer-volts">
        {{ result.volts.toFixed(1) }} V DC
        <span class="soft">{{
          tell('economizerTool.atTheActuatorForOutdoor', { share: result.share.toFixed(0) })
        }}</span>
      </p>
      <p v-if="result.measured">
        {{ tell('economizerTool.threeThermometersSay') }}
        <strong class="num">{{ result.measured.percent.toFixed(0) }}%</strong>{{ tell('economizerTool.likelyRange') }}
        <span class="num">{{ (2 * result.measured.sigma).toFixed(0) }}</span>.
      </p>
      <p v-else-if="inputs.mixedF !== null">
        {{ tell('economizerTool.threeThermometersDoNotHelp') }}
      </p>
      <AirChart :air="result" />
      <table class="states">
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">°F</th>
            <th scope="col">%</th>
            <th scope="col">{{ tell('economizerTool.wetBulb') }}</th>
            <th scope="col">{{ tell('economizerTool.dewPoint') }}</th>
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
        {{ tell('economizerTool.limitsByClimateAshrae90') }}
      </p>
      <p class="caution">
        {{ tell('economizerTool.takeTheBeltOffOnly') }}
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
