<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { answer, api, plain, type Family } from '../api/client'
import { usePacks } from '../api/usePacks'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import OwnPacks from './OwnPacks.vue'
import UnitStudy from './UnitStudy.vue'
import { tell } from '../words/words'

/** A family as it is composed: what there is to learn of it, its text, and those of our own. */
const families = usePacks()
const family = ref('')
const chosen = ref<Record<string, string>>({})
const shown = ref<'study' | 'text' | 'own'>('study')

watch(families.data, (all) => (family.value ||= all?.[0]?.id ?? ''), { immediate: true })
watch(family, () => (chosen.value = {}))

const choice = computed(() => Object.entries(chosen.value).map(([name, option]) => `${name}:${option}`))
const asked = computed(() => ({ params: { path: { id: family.value }, query: { choice: choice.value } } }))
const unit = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'family']),
  queryFn: () => answer<Family>(api.GET('/api/packs/{id}/family', asked.value)),
  enabled: computed(() => !!family.value),
  staleTime: Infinity,
  meta: told,
})
const file = computed(
  () => `/api/packs/${family.value}.yaml?${choice.value.map((c) => `choice=${encodeURIComponent(c)}`).join('&')}`,
)
const text = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'text']),
  queryFn: () => plain(file.value),
  enabled: computed(() => !!family.value && shown.value === 'text'),
  staleTime: Infinity,
  meta: told,
})
const queries = useQueryClient()
/** Another version of a family is another family: what was known of it is asked for anew. */
async function kept(id: string) {
  queries.removeQueries({ queryKey: ['pack', id] })
  await families.refetch()
}
const problem = computed(
  () => [unit, text].map((query) => query.error.value).find((error) => error instanceof Error)?.message,
)
</script>

<template>
  <TopBar :title="tell('common.families')" />
  <main class="page packs">
    <section class="pick" aria-labelledby="pick-title">
      <h1 id="pick-title" class="eyebrow">{{ tell('packsView.typeAndOptions') }}</h1>
      <div>
        <label for="family">{{ tell('packsView.family') }}</label>
        <select id="family" v-model="family" class="form-select field" data-test="family">
          <option v-for="f in families.data.value" :key="f.id" :value="f.id">
            {{ f.title }}{{ f.own ? ` ${tell('packsView.ourOwn')}` : '' }}
          </option>
        </select>
      </div>
      <div v-for="c in unit.data.value?.choices ?? []" :key="c.id">
        <label :for="`choice-${c.id}`">{{ c.label }}</label>
        <select
          :id="`choice-${c.id}`"
          class="form-select field"
          :value="chosen[c.id] ?? c.usual"
          :data-test="`choice-${c.id}`"
          @change="chosen = { ...chosen, [c.id]: ($event.target as HTMLSelectElement).value }"
        >
          <option v-for="o in c.options" :key="o.id" :value="o.id">{{ o.label }}</option>
        </select>
      </div>
      <p class="soft">{{ unit.data.value?.duty }}</p>
    </section>
    <section class="what">
      <div class="keys" role="group" :aria-label="tell('packsView.whatToSee')">
        <button
          type="button"
          class="key"
          :aria-pressed="shown === 'study'"
          data-test="to-study"
          @click="shown = 'study'"
        >
          {{ tell('packsView.howItWorks') }}
        </button>
        <button type="button" class="key" :aria-pressed="shown === 'text'" data-test="to-text" @click="shown = 'text'">
          {{ tell('packsView.text') }}
        </button>
        <button type="button" class="key" :aria-pressed="shown === 'own'" data-test="to-own" @click="shown = 'own'">
          {{ tell('packsView.ourOwn2') }}
        </button>
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <UnitStudy v-if="shown === 'study' && family" :family="family" :choice="choice" :unit="unit.data.value" />
      <OwnPacks v-else-if="shown === 'own'" :family="family" @kept="kept" />
      <template v-else>
        <h2 class="h5">{{ tell('packsView.itsText') }}</h2>
        <a class="key quiet" :href="file" :download="`${family}.yaml`">{{ tell('packsView.downloadYaml') }}</a>
        <pre v-if="text.data.value" class="text" tabindex="0" data-test="pack-text">{{ text.data.value }}</pre>
      </template>
    </section>
  </main>
</template>

<style scoped lang="scss">
.packs {
  max-width: 76rem;
}
.pick {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 0.5rem 1.5rem;
  margin-bottom: 1.25rem;
}
.pick h1,
.pick p {
  grid-column: 1 / -1;
  margin: 0;
}
.pick label {
  font-weight: 700;
}
.pick select {
  margin-top: 0.25rem;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 1.25rem;
}
.keys .key[aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.text {
  max-height: 70vh;
  overflow: auto;
  padding: 0.75rem;
  border: 1px solid var(--line-soft);
  font-size: 0.8125rem;
}
</style>
