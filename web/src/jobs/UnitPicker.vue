<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Site } from '../api/client'
import { tell } from '../words/words'

/** Site and unit in one place: a few letters of either, then one tap; or a unit that is new here. */
const props = defineProps<{ sites: Site[]; arrived?: string }>()
const unitId = defineModel<string>({ required: true })
/** So many are shown before a letter is typed: what fits a phone beside the keys of the complaint. */
const FEW = 6
const asked = ref('')
const field = ref<HTMLInputElement>()
watch(field, (there) => there?.focus())
/** Those of the site that it came from first. */
const all = computed(() =>
  [...props.sites]
    .sort((a, b) => Number(b.id === props.arrived) - Number(a.id === props.arrived))
    .flatMap((site) => site.units.map((unit) => ({ site, unit }))),
)
const picked = computed(() => all.value.find((one) => one.unit.id === unitId.value))
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
/** How many of the words that were typed stand there whole: "rooftop 1" means that one before rooftop 12. */
const asWhole = (where: string, words: string[]) => {
  const there = where.split(/[^\p{L}\p{N}]+/u)
  return words.filter((word) => there.includes(word)).length
}
const found = computed(() => {
  const words = plain(asked.value).split(/\s+/).filter(Boolean)
  return all.value
    .flatMap(({ site, unit }) => {
      const where = plain(`${site.name} ${site.address} ${unit.label} ${unit.location}`)
      return words.every((word) => where.includes(word)) ? [{ site, unit, whole: asWhole(where, words) }] : []
    })
    .sort((a, b) => b.whole - a.whole)
})
const shown = computed(() => (asked.value.trim() ? found.value : found.value.slice(0, FEW)))
/** A site written out in full that has one unit, and no other that begins so: there is nothing left to choose. */
watch(found, (left) => {
  const only = left.length === 1 ? left[0] : undefined
  if (only && plain(asked.value).trim() === plain(only.site.name)) unitId.value = only.unit.id
})
/** The site that is meant: the one it came from, or the only one that the letters leave. */
const here = computed(() => {
  const left = new Set(found.value.map((one) => one.site.id))
  return asked.value.trim() && left.size === 1 ? [...left][0] : props.arrived || undefined
})
</script>

<template>
  <div v-if="picked" class="picked" data-test="picked">
    <span
      ><strong>{{ picked.site.name }}</strong
      ><br />{{ picked.unit.label }} · {{ picked.unit.location }}</span
    >
    <button type="button" class="key" data-test="other-unit" @click="unitId = ''">
      {{ tell('unitPicker.change') }}
    </button>
  </div>
  <div v-else>
    <label for="where">{{ tell('unitPicker.siteOrUnit') }}</label>
    <input
      id="where"
      ref="field"
      v-model="asked"
      type="search"
      class="form-control field"
      autocomplete="off"
      :placeholder="tell('unitPicker.aFewLetters')"
    />
    <ul class="units">
      <li v-for="{ site, unit } in shown" :key="unit.id">
        <button type="button" :data-test="`unit-${unit.id}`" @click="unitId = unit.id">
          <strong>{{ site.name }}</strong> <span class="soft">{{ site.address }}</span><br />{{ unit.label }} ·
          {{ unit.location }}
        </button>
      </li>
    </ul>
    <p v-if="asked.trim() && !found.length" role="status">{{ tell('unitPicker.noneOfThatName') }}</p>
    <p v-else-if="shown.length < found.length" class="soft m-0">
      {{ tell('unitPicker.more', { count: found.length - shown.length }) }}
    </p>
    <RouterLink class="key mt-2" :to="{ path: '/identify', query: { site: here } }" data-test="to-identify">{{
      tell('unitPicker.newHere')
    }}</RouterLink>
  </div>
</template>

<style scoped lang="scss">
label {
  font-weight: 700;
}
.picked {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  padding: 0.5rem 0.75rem;
  border-left: 8px solid var(--next);
  background: var(--paper-2);
}
.units {
  list-style: none;
  padding: 0;
  margin: 0.25rem 0 0;
}
.units button {
  width: 100%;
  min-height: 56px;
  padding: 0.35rem 0.25rem;
  border: 0;
  border-bottom: 1px solid var(--line-soft);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
}
.units button:hover {
  background: var(--paper-2);
}
</style>
