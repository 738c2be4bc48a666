<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, importBoard, type BoardCheck, type BoardRow } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { usePacks } from '../api/usePacks'
import TopBar from '../common/TopBar.vue'
import ProblemList from './ProblemList.vue'
import { tell } from '../words/words'

const router = useRouter()
const boards = useQuery({ queryKey: ['boards'], queryFn: () => answer<BoardRow[]>(api.GET('/api/overlays')) })
const families = usePacks()
const family = ref('')
const check = ref<BoardCheck | null>(null)
const { problem, attempt } = useAttempt()

async function bring(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  check.value = null
  await attempt(async () => {
    check.value = await importBoard(await file.text())
    if (check.value.usable) await boards.refetch()
  })
  input.value = ''
}
</script>

<template>
  <TopBar :title="tell('common.boards')" />
  <main class="page">
    <h1 class="h4">{{ tell('boardsView.boardLibrary') }}</h1>
    <p class="soft">{{ tell('boardsView.aBoardsOwnChartTimes') }}</p>
    <p>
      <RouterLink to="/packs" data-test="to-packs">{{ tell('boardsView.equipmentTypesHowEachRuns') }}</RouterLink>
    </p>
    <hr class="rule" />
    <p v-if="boards.data.value?.length === 0" class="mt-3">{{ tell('boardsView.noneYetAddTheFirst') }}</p>
    <ul class="rows">
      <li v-for="b in boards.data.value" :key="b.name">
        <RouterLink :to="`/boards/${b.name}`"
          ><strong>{{ b.title }}</strong> <span class="soft">{{ b.name }}</span></RouterLink
        >
        <span class="soft">{{ families.data.value?.find((f) => f.id === b.family)?.title ?? b.family }}</span>
        <span class="soft"
          ><span class="num">{{ tell('boardsView.version', { version: b.version }) }}</span
          >, {{ b.by }}</span
        >
        <a class="key quiet" :href="`/api/overlays/${b.name}/yaml`" :download="`${b.name}.yaml`">{{
          tell('boardsView.exportYaml')
        }}</a>
      </li>
    </ul>
    <form class="bring" @submit.prevent="router.push({ path: '/boards/new', query: { family } })">
      <label for="new-family">{{ tell('boardsView.addABoardOfThis') }}</label>
      <select id="new-family" v-model="family" class="form-select field" required>
        <option value="" disabled>{{ tell('boardsView.chooseTheType') }}</option>
        <option v-for="f in families.data.value" :key="f.id" :value="f.id">{{ f.title }}</option>
      </select>
      <button type="submit" class="key next" :disabled="!family">{{ tell('boardsView.addABoard') }}</button>
      <label for="bring-file">{{ tell('boardsView.orImportYaml') }}</label>
      <input id="bring-file" type="file" accept=".yaml,.yml" class="form-control field" @change="bring" />
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ProblemList v-if="check" :problems="check.problems" :notes="check.notes" />
    <p v-if="check?.usable" role="status">{{ tell('boardsView.itIsInTheList') }}</p>
  </main>
</template>

<style scoped lang="scss">
.rows {
  list-style: none;
  padding: 0;
}
.rows li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) auto auto;
  gap: 1rem;
  align-items: center;
  min-height: 52px;
  border-bottom: 1px solid var(--line-soft);
}
.bring {
  display: grid;
  gap: 0.4rem;
  max-width: 36rem;
  margin-top: 1.5rem;
}
.bring label {
  font-weight: 700;
}
@media (max-width: 700px) {
  .rows li {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.25rem 1rem;
    padding: 0.5rem 0;
  }
}
</style>
