<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useHandle } from './handle'
import NameplateCard from './NameplateCard.vue'
import { outcomes } from './outcomes'
import PaperShelf from './PaperShelf.vue'
import TakeAlong from './TakeAlong.vue'
import { useCommissioning, useHistory } from './useDetails'
import { language, tell } from '../words/words'

/** The first screen where the unit was visited before: what is in it, what was done to it, what was left in it. */
const { visit, unit, page, add } = useHandle()
const route = useRoute()
const { data: history, isPending } = useHistory()
const { data: setUp } = useCommissioning()
const told = computed(() => page.value?.log.filter((l) => l.counts && l.kind === 'VISITED').at(-1))
const same = ref(false)
const ran = ref(false)
function answer() {
  const { entry, days, part } = history.value!.last!
  add({
    kind: 'VISITED',
    days,
    part,
    reset: ran.value,
    same: same.value,
    supersedes: told.value?.id ?? entry,
  })
}
function reset(yes: boolean) {
  ran.value = yes
  answer()
}
function alike(yes: boolean) {
  same.value = yes
  answer()
}
const day = (at?: string | null) =>
  at ? new Date(at).toLocaleDateString(language(), { day: 'numeric', month: 'long', year: 'numeric' }) : ''
</script>

<template>
  <main class="page" data-test="unit-view">
    <p class="eyebrow">{{ visit!.job.location }}</p>
    <h1 class="h3">{{ visit!.job.unit }}: {{ unit!.title }}</h1>
    <p v-if="visit!.board || history?.age != null">
      <template v-if="visit!.board">{{ tell('unitView.board', { board: visit!.board }) }} </template>
      <template v-if="history?.age != null">{{
        tell('unitView.old', {
          age: history.age,
        })
      }}</template>
    </p>
    <NameplateCard :unit="visit!.unitId" :closed="Boolean(visit!.closedAt)" />
    <PaperShelf :unit="visit!.unitId" :board="visit!.board ?? null" :closed="Boolean(visit!.closedAt)" />
    <p v-if="!visit!.closedAt || setUp?.begun" class="fresh">
      <RouterLink class="key" :to="{ name: 'set-up', params: route.params }" data-test="to-set-up">{{
        setUp?.begun ? tell('unitView.setUpOpen', { open: setUp.open }) : tell('unitView.neverRan')
      }}</RouterLink>
    </p>
    <TakeAlong v-if="!visit!.closedAt" :visit="visit!.job.id" />
    <p>{{ unit!.duty }}</p>
    <p class="caution">
      {{ tell('unitView.onThePhoneLeaveIt') }}
    </p>
    <p v-if="history?.says" class="says" data-test="call-back">{{ history.says }}.</p>
    <div v-if="history?.last && !visit!.closedAt" class="since" data-test="since">
      <span id="q-since">{{ tell('unitView.wasItResetSinceThe') }}</span>
      <span class="answers" role="group" aria-labelledby="q-since">
        <button type="button" class="key" @click="reset(true)">{{ tell('common.yes') }}</button>
        <button type="button" class="key" @click="reset(false)">{{ tell('common.no') }}</button>
      </span>
      <span id="q-same">{{ tell('unitView.doesItFailTheSame') }}</span>
      <span class="answers" role="group" aria-labelledby="q-same" data-test="same">
        <button type="button" class="key" @click="alike(true)">{{ tell('common.yes') }}</button>
        <button type="button" class="key" @click="alike(false)">{{ tell('common.no') }}</button>
      </span>
      <span v-if="told" class="soft" aria-live="polite">{{ told.found }}</span>
    </div>
    <p v-if="visit!.twins.length">
      <strong>{{ tell('unitView.nextToIt') }}</strong>
      {{ visit!.twins.map((t) => `${t.label}, ${t.location}`).join('; ') }}
    </p>
    <p v-for="l in history?.lentOut" :key="l.since" class="problem" data-test="lent">
      {{ tell('unitView.itsIsLentToSince', { part: l.part, to: l.to, day: day(l.since) }) }}
    </p>
    <h2 class="h5 mt-4">{{ tell('unitView.visitsBefore') }}</h2>
    <p v-if="isPending" class="soft">{{ tell('unitView.loadingEarlierVisits') }}</p>
    <p v-else-if="history?.visits.length === 0" class="soft">{{ tell('unitView.noEarlierVisitWithThis') }}</p>
    <ol v-else-if="history" class="past">
      <li v-for="v in history.visits" :key="v.job.id">
        <p class="mb-1">
          <strong>{{ day(v.closedAt) }}</strong>, {{ v.job.technician }}:
          {{ v.outcome ? outcomes[v.outcome].report : '' }}
        </p>
        <p class="mb-1">“{{ v.job.complaint }}” {{ v.decided }}</p>
        <p v-if="v.job.verdict" class="mb-1 soft">{{ v.job.verdict }}</p>
        <p v-if="v.past.changed.length" class="mb-1">
          <strong>{{ tell('unitView.changed') }}</strong> {{ v.past.changed.join(', ') }}
        </p>
        <p v-if="v.past.left.length" class="mb-1">
          <strong>{{ tell('unitView.leftSet') }}</strong> {{ v.past.left.join('; ') }}
        </p>
        <p v-if="v.past.spares.length" class="mb-1">
          <strong>{{ tell('unitView.spareConductors') }}</strong> {{ v.past.spares.join('; ') }}
        </p>
        <p v-if="v.past.unused.length" class="mb-1">
          <strong>{{ tell('unitView.takenAlongNotUsed') }}</strong> {{ v.past.unused.join(', ') }}
        </p>
        <p v-for="n in v.past.notes" :key="n" class="mb-1">
          <strong>{{ tell('unitView.note') }}</strong> {{ n }}
        </p>
        <p v-if="v.past.stillIn.length" class="problem mb-1">
          {{ tell('unitView.notTakenOut', { stillIn: v.past.stillIn.join(', ') }) }}
        </p>
        <p v-if="v.past.borrowed.length" class="problem mb-1">
          {{ tell('unitView.borrowedFromAnotherUnitNot', { borrowed: v.past.borrowed.join(', ') }) }}
        </p>
      </li>
    </ol>
    <template v-if="history?.changes.length">
      <h2 class="h5 mt-4">{{ tell('unitView.changedOfTheUnit') }}</h2>
      <ul class="past" data-test="changes-of-unit">
        <li v-for="c in history.changes" :key="c.at">
          <strong>{{ day(c.at) }}</strong>, {{ c.by }}: {{ c.what }}
        </li>
      </ul>
    </template>
    <RouterLink class="key next go-on" :to="{ name: 'before', params: route.params }" data-test="to-before">{{
      tell('unitView.nextBeforeThePowerIs')
    }}</RouterLink>
  </main>
</template>

<style scoped lang="scss">
.page {
  padding-bottom: 2rem;
}
.says {
  font-size: 1.25rem;
  font-weight: 700;
}
.since {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin: 1rem 0;
}
.answers {
  display: flex;
  gap: 0.75rem;
}
.past {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--line);
}
.past li {
  padding: 0.75rem 0;
  border-bottom: 1px solid var(--line-soft);
}
</style>
