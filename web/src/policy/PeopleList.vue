<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answer, api, type Licence, type Person, Problem } from '../api/client'
import { useLicences } from '../api/useLicences'
import { tell } from '../words/words'

const queries = useQueryClient()
const people = useQuery({ queryKey: ['people'], queryFn: () => answer<Person[]>(api.GET('/api/people')) })
const who = ref('')
const licence = ref<Licence['licence']>('GAS')
const number = ref('')
const region = ref('')
const until = ref('')
const problem = ref<Problem | null>(null)

async function attempt(work: () => Promise<unknown>) {
  problem.value = null
  try {
    await work()
    await queries.invalidateQueries({ queryKey: ['people'] })
    await queries.invalidateQueries({ queryKey: ['licences'] })
  } catch (failure) {
    problem.value = failure as Problem
  }
}
const add = () =>
  attempt(async () => {
    await answer(
      api.POST('/api/people/{login}/qualifications', {
        params: { path: { login: who.value } },
        body: { licence: licence.value, number: number.value, region: region.value, until: until.value },
      }),
    )
    number.value = ''
  })
const remove = (login: string, id: string) =>
  attempt(() => answer(api.DELETE('/api/people/{login}/qualifications/{id}', { params: { path: { login, id } } })))
const licences = useLicences()
const named = (l: string) => licences.data.value?.find((one) => one.licence === l)?.label ?? l
</script>

<template>
  <section aria-labelledby="people-title" class="people">
    <h2 id="people-title" class="h5">{{ tell('peopleList.peopleAndLicenses') }}</h2>
    <p class="soft">
      {{ tell('peopleList.whoMaySignOffGas') }}
    </p>
    <ul>
      <li v-for="p in people.data.value" :key="p.login" :data-test="`person-${p.login}`">
        <strong>{{ p.name }}</strong>
        <span v-if="!p.qualifications.length" class="soft">{{ tell('peopleList.noLicenseOnFile') }}</span>
        <span v-for="q in p.qualifications" :key="q.id" class="held" :class="{ past: !q.current }">
          {{ named(q.licence) }} {{ q.number }}, {{ q.region }},
          {{ q.current ? tell('peopleList.until') : tell('common.ended') }} {{ q.until }}
          <button type="button" class="key quiet" @click="remove(p.login, q.id)">
            {{ tell('peopleList.remove') }}
          </button>
        </span>
      </li>
    </ul>
    <form class="form" @submit.prevent="add">
      <label for="person">{{ tell('peopleList.person') }}</label>
      <select id="person" v-model="who" class="form-select field" required>
        <option value="" disabled>{{ tell('peopleList.chooseAPerson') }}</option>
        <option v-for="p in people.data.value" :key="p.login" :value="p.login">{{ p.name }}</option>
      </select>
      <label for="licence">{{ tell('peopleList.license') }}</label>
      <select id="licence" v-model="licence" class="form-select field">
        <option v-for="l in licences.data.value" :key="l.licence" :value="l.licence">{{ l.label }}</option>
      </select>
      <label for="licence-number">{{ tell('peopleList.number') }}</label>
      <input id="licence-number" v-model="number" class="form-control field" maxlength="60" required />
      <label for="region">{{ tell('peopleList.region') }}</label>
      <input id="region" v-model="region" class="form-control field" maxlength="80" required />
      <label for="until">{{ tell('peopleList.lastDay') }}</label>
      <input id="until" v-model="until" type="date" class="form-control field" required />
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <button type="submit" class="key next">{{ tell('peopleList.addLicense') }}</button>
    </form>
  </section>
</template>

<style scoped lang="scss">
.people {
  margin-top: 2rem;
  border-top: 2px solid var(--line);
  padding-top: 1rem;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  gap: 0.1rem;
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.past {
  text-decoration: line-through;
  color: var(--ink-soft);
}
.form {
  display: grid;
  gap: 0.35rem;
  max-width: 32rem;
}
label {
  font-weight: 700;
  margin-top: 0.5rem;
}
</style>
