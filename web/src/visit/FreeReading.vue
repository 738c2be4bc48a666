<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Unit } from '../api/client'
import { useHandle } from './handle'
import WhenPicker from './WhenPicker.vue'
import { typedIn } from './typed'
import { tell } from '../words/words'

const props = defineProps<{ unit: Unit; picked: string | null }>()
const emit = defineEmits<{ taken: [] }>()
const { add, problem } = useHandle()
const red = ref('')
/** Empty: the usual second point of the red one. */
const black = ref('')
const mode = ref<Unit['modes'][number]['mode']>(props.unit.modes[0]!.mode)
const moment = ref(props.unit.moments[0]?.id ?? '')
const reading = ref('')
const usual = computed(() => {
  const against = props.unit.points.find((p) => p.net === red.value)?.against
  return against
    ? tell('freeReading.asUsual', { label: props.unit.points.find((p) => p.net === against)?.label })
    : tell('freeReading.itsUsualSecondPoint')
})
const asked = computed(() => props.unit.modes.find((m) => m.mode === mode.value))
const unitOf = computed(() => asked.value?.unit ?? '')
watch(
  () => props.picked,
  (net) => {
    const point = props.unit.points.find((p) => p.net === net)
    if (point) {
      red.value = point.net
      black.value = ''
    }
  },
  { immediate: true },
)

async function take() {
  const entry = {
    kind: 'FREE_READING' as const,
    red: red.value,
    black: black.value || undefined,
    mode: mode.value,
    moment: moment.value,
    reading: typedIn(asked.value?.behind ?? '', reading.value),
  }
  if (await add(entry)) {
    reading.value = ''
    emit('taken')
  }
}
</script>

<template>
  <form class="free" :aria-label="tell('freeReading.anyOtherReading')" @submit.prevent="take">
    <WhenPicker class="wide" />
    <label for="free-red">{{ tell('freeReading.redOn') }}</label>
    <select id="free-red" v-model="red" class="form-select field" required>
      <option v-for="p in unit.points" :key="p.net" :value="p.net">{{ p.label }}</option>
    </select>
    <label for="free-black">{{ tell('freeReading.blackOn') }}</label>
    <select id="free-black" v-model="black" class="form-select field">
      <option value="">{{ usual }}</option>
      <option v-for="p in unit.points" :key="p.net" :value="p.net">{{ p.label }}</option>
    </select>
    <label for="free-mode">{{ tell('freeReading.meter') }}</label>
    <select id="free-mode" v-model="mode" class="form-select field">
      <option v-for="m in unit.modes" :key="m.mode" :value="m.mode">{{ m.label }}</option>
    </select>
    <label for="free-moment">{{ tell('common.when') }}</label>
    <select id="free-moment" v-model="moment" class="form-select field">
      <option v-for="m in unit.moments" :key="m.id" :value="m.id">{{ m.label }}</option>
    </select>
    <label for="free-reading">{{ tell('freeReading.reading', { unitOf }) }}</label>
    <input
      id="free-reading"
      v-model="reading"
      class="form-control field num"
      inputmode="decimal"
      autocomplete="off"
      required
    />
    <p v-if="problem && !problem.passing" class="problem" role="alert">{{ problem.message }}</p>
    <button type="submit" class="key next">{{ tell('common.takeReading') }}</button>
  </form>
</template>

<style scoped lang="scss">
.free {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.35rem 0.75rem;
  align-items: center;
}
.problem,
.wide,
.free > .key {
  grid-column: 1 / -1;
}
</style>
