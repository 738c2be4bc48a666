<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { answer, api, type ChangeOut } from '../api/client'
import { useHandle } from '../visit/handle'
import AsFound from './AsFound.vue'
import ConductorMap from './ConductorMap.vue'
import DifferenceList from './DifferenceList.vue'
import LendPart from './LendPart.vue'
import PhotoStrip from '../visit/PhotoStrip.vue'
import SwitchBank from './SwitchBank.vue'
import { tell } from '../words/words'

const { id, visit, page } = useHandle()
const route = useRoute()
const part = ref('')
const board = ref('')
const closed = computed(() => Boolean(visit.value!.closedAt))
const { data: boards } = useQuery({
  queryKey: ['visit', id, 'new-boards'],
  queryFn: () =>
    answer<{ name: string; title: string }[]>(api.GET('/api/visits/{id}/new-boards', { params: { path: { id } } })),
})
const { data: change, isPending } = useQuery({
  queryKey: computed(() => ['visit', id, 'change-out', part.value, board.value, page.value?.entries]),
  queryFn: () =>
    answer<ChangeOut>(
      api.GET('/api/visits/{id}/change-out', {
        params: { path: { id }, query: { part: part.value, board: board.value } },
      }),
    ),
  placeholderData: keepPreviousData,
})
</script>

<template>
  <main class="page" data-test="change-page">
    <p v-if="isPending" class="soft">{{ tell('changeView.loadingTheBoard') }}</p>
    <template v-if="change">
      <h1 class="h3">
        {{ tell('changeView.changingThe', { label: change.boards.find((b) => b.part === change!.board)?.label }) }}
      </h1>
      <p v-if="change.blocked" class="blocked" data-test="blocked">{{ change.blocked }}</p>
      <label v-if="change.boards.length > 1" class="form-label">
        {{ tell('changeView.whichBoard') }}
        <select v-model="part" class="form-select">
          <option value="">{{ tell('changeView.theLikelyCause') }}</option>
          <option v-for="b in change.boards" :key="b.part" :value="b.part">{{ b.label }}</option>
        </select>
      </label>
      <p class="caution">{{ change.cautions[0] }}</p>
      <h2 class="h5">{{ tell('changeView.beforeYouDisconnectAnything') }}</h2>
      <PhotoStrip :closed="closed" />
      <AsFound :change="change" :closed="closed" />
      <SwitchBank :switches="change.switches" />
      <h2 class="h5">{{ tell('changeView.theNewBoard') }}</h2>
      <select
        v-model="board"
        class="form-select board"
        :aria-label="tell('changeView.whichBoardComesIn')"
        data-test="new-board"
      >
        <option value="">{{ tell('changeView.theSameKindAgain') }}</option>
        <option v-for="b in boards" :key="b.name" :value="b.name">{{ b.title }}</option>
      </select>
      <DifferenceList :differences="change.differences" :closed="closed" />
      <p v-for="p in change.problems" :key="p" class="problem" role="alert">{{ p }}.</p>
      <ul class="caution rules">
        <li v-for="c in change.cautions.slice(1)" :key="c">{{ c }}</li>
      </ul>
      <ConductorMap
        :moves="change.map"
        :closed="closed"
        :held="Boolean(change.blocked) || change.problems.length > 0"
      />
      <LendPart :closed="closed" />
      <RouterLink class="key mt-4" :to="{ name: 'verdict', params: route.params }">{{
        tell('common.backToTheVerdict')
      }}</RouterLink>
    </template>
  </main>
</template>

<style scoped lang="scss">
h2 {
  margin-top: 1.75rem;
}
.blocked {
  font-weight: 700;
  border-left: 10px dashed var(--ink);
  padding-left: 0.75rem;
}
.blocked::first-letter {
  text-transform: uppercase;
}
.rules {
  list-style: none;
  margin-top: 1.75rem;
}
.board {
  max-width: 28rem;
  min-height: 48px;
}
</style>
