<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useAttempt } from '../api/useAttempt'
import { useNameplate } from '../api/useNameplate'
import { usePhotos } from '../api/usePhotos'
import { useHandle } from './handle'
import { tell } from '../words/words'

/** What stands on the nameplate of a unit; typed from the plate, or from its picture later. */
const props = defineProps<{ unit: string; closed: boolean }>()
type Plate = components['schemas']['NameplateInput']
const { id } = useHandle()
const { data, refetch } = useNameplate(() => props.unit)
const photos = usePhotos(id)
const picture = computed(() => photos.data.value?.find((p) => p.label === tell('platePhotos.nameplate')))
const typed = ref<Plate>()
const { attempt, busy, problem } = useAttempt()
const texts = [
  { key: 'maker', label: tell('nameplateCard.maker') },
  { key: 'model', label: tell('nameplateCard.model') },
  { key: 'serial', label: tell('nameplateCard.serial') },
  { key: 'rating', label: tell('nameplateCard.rating') },
  { key: 'refrigerant', label: tell('nameplateCard.refrigerant') },
  { key: 'charge', label: tell('nameplateCard.charge') },
] as const
const gases = [
  { value: undefined, label: tell('nameplateCard.gasNone') },
  { value: 'NATURAL', label: tell('nameplateCard.gasNatural') },
  { value: 'PROPANE', label: tell('nameplateCard.gasPropane') },
] as const
const numbers = computed(() => [
  { key: 'year' as const, label: tell('nameplateCard.year') },
  { key: 'altitude' as const, label: tell('nameplateCard.altitude', { unit: data.value?.altitudeUnit ?? '' }) },
])

function open() {
  typed.value = { ...data.value!.plate }
}
/** An emptied field is no number. */
const given = (value: unknown) => (typeof value === 'number' ? value : undefined)
function keep() {
  const plate = typed.value!
  const body = { ...plate, year: given(plate.year), altitude: given(plate.altitude) }
  void attempt(async () => {
    await answer(api.POST('/api/units/{id}/nameplate', { params: { path: { id: props.unit } }, body }))
    typed.value = undefined
    await refetch()
  })
}
</script>

<template>
  <section v-if="data" class="plate" :aria-label="tell('nameplateCard.asTyped')" data-test="nameplate">
    <h2 class="eyebrow">{{ tell('nameplateCard.asTyped') }}</h2>
    <template v-if="!typed">
      <p v-if="data.says" class="says" data-test="nameplate-says">{{ data.says }}</p>
      <p v-else class="soft">{{ tell('nameplateCard.nothingTypedYet') }}</p>
      <button v-if="!closed" type="button" class="key" data-test="nameplate-open" @click="open">
        {{ data.says ? tell('nameplateCard.change') : tell('nameplateCard.type') }}
      </button>
    </template>
    <form v-else class="fields" @submit.prevent="keep">
      <img v-if="picture" class="picture" :src="`/api/visits/${id}/photos/${picture.id}`" :alt="picture.label" />
      <label v-for="t in texts" :key="t.key">
        {{ t.label }}
        <input v-model="typed[t.key]" class="form-control field" autocomplete="off" :data-test="`plate-${t.key}`" />
      </label>
      <label>
        {{ tell('nameplateCard.gas') }}
        <select v-model="typed.gas" class="form-select field" data-test="plate-gas">
          <option v-for="g in gases" :key="g.label" :value="g.value">{{ g.label }}</option>
        </select>
      </label>
      <label v-for="n in numbers" :key="n.key">
        {{ n.label }}
        <input
          v-model.number="typed[n.key]"
          type="number"
          step="any"
          inputmode="decimal"
          class="form-control field num"
          :data-test="`plate-${n.key}`"
        />
      </label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="keys">
        <button type="submit" class="key next" :disabled="busy" data-test="plate-keep">
          {{ tell('nameplateCard.keep') }}
        </button>
        <button type="button" class="key" @click="typed = undefined">{{ tell('nameplateCard.leave') }}</button>
      </div>
    </form>
  </section>
</template>

<style scoped lang="scss">
.plate {
  margin-block: 0.75rem;
  padding-block: 0.5rem;
  border-block: 1px solid var(--line-soft);
}
.says {
  margin: 0 0 0.5rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 0.5rem 1rem;
}
.fields label {
  display: grid;
  gap: 0.2rem;
}
.picture,
.keys,
.problem {
  grid-column: 1 / -1;
}
.picture {
  max-width: 100%;
  max-height: 40vh;
  object-fit: contain;
  justify-self: start;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
}
</style>
