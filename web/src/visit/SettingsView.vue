<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useCalculator } from '../tools/useCalculator'
import ChoiceRow from './ChoiceRow.vue'
import MenuWalk from './MenuWalk.vue'
import NumberField from './NumberField.vue'
import SettingSuggestion from './SettingSuggestion.vue'
import { useHandle } from './handle'
import { useSettings, useSteps } from './useDetails'
import { tell } from '../words/words'

const { visit, page, add } = useHandle()
const route = useRoute()
const { data: settings } = useSettings()
const closed = computed(() => Boolean(visit.value!.closedAt))
const chosen = ref(String(route.query.setting ?? ''))
const found = ref('')
const left = ref('')
/** By which calculation, or why; left empty where nobody says. */
const why = ref('')
const setting = computed(() => settings.value?.find((s) => s.id === chosen.value))
const all = computed(() => settings.value?.map((s) => ({ value: s.id, label: s.label })) ?? [])
const positions = computed(() => setting.value?.positions.map((p) => ({ value: p, label: p })) ?? [])
const marked = computed(() =>
  positions.value.map((p) =>
    p.value === setting.value!.factory ? { ...p, label: tell('settingsView.factory', { p: p.value }) } : p,
  ),
)
const suggests = computed(() => setting.value?.suggests ?? '')
const { data: calculator } = useCalculator(() => suggests.value)
const asking = ref(false)
watch(chosen, () => {
  asking.value = false
  found.value = ''
  left.value = ''
  why.value = ''
})
/** A number is asked about; positions with names are all known. */
const between = computed(() =>
  setting.value?.range && setting.value.byMenu && found.value && left.value && found.value !== left.value
    ? { setting: chosen.value, from: found.value, to: left.value }
    : undefined,
)
const asked = useSteps(between)
const steps = computed(() =>
  between.value
    ? (asked.data.value ?? [])
    : (setting.value?.ways.find((w) => w.from === found.value && w.to === left.value)?.steps ?? []),
)
/** A position that a calculation gives: it is the reason, too. */
function take(position: string) {
  left.value = position
  why.value = calculator.value?.title ?? ''
}
const ready = computed(() => found.value !== '' && left.value !== '')
const written = computed(() => tell('settingsView.foundLeft2', { found: found.value, left: left.value }))
const isNew = computed(() => page.value!.log.some((l) => l.counts && l.kind === 'NEW_UNIT'))
const kept = computed(() =>
  page.value!.log.some(
    (l) => l.counts && l.kind === 'SETTING' && l.what === setting.value?.label && l.found.startsWith(written.value),
  ),
)
</script>

<template>
  <main class="page settings">
    <h1 class="h4">{{ tell('common.settingsFoundAndLeft') }}</h1>
    <p class="soft">{{ tell('settingsView.aUnitThatIsSet') }}</p>
    <p v-if="settings && settings.length === 0">{{ tell('settingsView.thisEquipmentTypeHasNo') }}</p>
    <ChoiceRow v-model="chosen" :name="tell('settingsView.whichSetting')" test="setting" :options="all" />
    <template v-if="setting">
      <h2 class="h5 mt-4">{{ tell('common.found') }}</h2>
      <template v-if="setting.range">
        <NumberField
          v-model="found"
          :name="tell('common.found')"
          test="found"
          :start="setting.factory"
          :range="setting.range"
          :unit="setting.unit"
        />
        <p class="soft mb-0">{{ tell('settingsView.factoryIs', { factory: setting.factory }) }}</p>
      </template>
      <ChoiceRow v-else v-model="found" name="Found" test="found" :options="marked" />
      <h2 class="h5 mt-3">{{ tell('settingsView.needed') }}</h2>
      <NumberField
        v-if="setting.range"
        v-model="left"
        :name="tell('settingsView.needed')"
        test="left"
        :start="found || setting.factory"
        :range="setting.range"
        :unit="setting.unit"
      />
      <ChoiceRow v-else v-model="left" name="Wanted" test="left" :options="positions" />
      <p v-if="asked.error.value" class="problem" role="alert">{{ asked.error.value.message }}</p>
      <template v-if="calculator && calculator.id === suggests">
        <button
          type="button"
          class="key quiet mt-2"
          :aria-expanded="asking"
          data-test="ask-suggestion"
          @click="asking = !asking"
        >
          {{ tell('settingsView.whatShouldItBe', { title: calculator.title }) }}
        </button>
        <SettingSuggestion v-if="asking" :key="chosen" :setting="chosen" :calculator="calculator" @suggested="take" />
      </template>
      <template v-if="ready">
        <p v-if="found === left" class="mt-4">{{ tell('settingsView.leaveItAsItIs') }}</p>
        <template v-else-if="setting.byMenu">
          <h2 class="h5 mt-4">{{ tell('settingsView.press') }}</h2>
          <ol class="steps" data-test="key-steps">
            <li v-for="(s, i) in steps" :key="i">
              <span class="press"
                >{{ s.press
                }}<template v-if="s.times > 1">{{ tell('settingsView.times', { times: s.times }) }}</template></span
              >
              <span class="soft">{{ tell('settingsView.itShows', { shows: s.shows }) }}</span>
            </li>
          </ol>
        </template>
        <p v-else class="press mt-4" data-test="key-steps">{{ tell('settingsView.moveItFromTo', { found, left }) }}</p>
        <template v-if="!closed && !kept">
          <label for="why" class="mt-3"
            ><strong>{{ tell('settingsView.why') }}</strong></label
          >
          <BFormInput id="why" v-model="why" class="field" maxlength="500" />
        </template>
        <button
          v-if="!closed && !kept"
          type="button"
          class="key next onward"
          data-test="keep-setting"
          @click="add({ kind: 'SETTING', setting: chosen, found, left, why: why.trim() || undefined })"
        >
          {{ tell('settingsView.keepFoundLeft', { found, left }) }}
        </button>
        <p v-else-if="kept" role="status">
          <strong>{{ tell('settingsView.kept') }}</strong> {{ tell('settingsView.foundLeft', { found, left }) }}
        </p>
      </template>
    </template>
    <MenuWalk />
    <p class="caution mt-4">
      {{ tell('settingsView.theMakersInstructionsSayWhat') }}
    </p>
    <RouterLink v-if="isNew" class="key next mt-2" :to="{ name: 'set-up', params: route.params }">{{
      tell('settingsView.backToTheSetUp')
    }}</RouterLink>
    <RouterLink v-else class="key mt-2" :to="{ name: 'work', params: route.params }">{{
      tell('common.backToTheWork')
    }}</RouterLink>
  </main>
</template>

<style scoped lang="scss">
.steps {
  margin: 0;
  padding: 0;
  counter-reset: step;
  list-style: none;
}
.steps li {
  display: grid;
  grid-template-columns: 3rem 1fr;
  align-items: baseline;
  padding: 0.7rem 0;
  border-bottom: 1px solid var(--line-soft);
  counter-increment: step;
}
.steps li::before {
  content: counter(step);
  grid-row: span 2;
  font-size: 2rem;
  font-weight: 700;
}
.press {
  font-size: 1.5rem;
}
.onward {
  width: 100%;
  min-height: 56px;
  margin-top: 1rem;
}
</style>
