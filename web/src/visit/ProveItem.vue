<script setup lang="ts">
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import type { components } from '../api/schema'
import { useHandle } from './handle'
import { typedIn } from './typed'
import { tell } from '../words/words'

/** One thing that proves the repair: what is due, what was seen, and a place to enter it. */
const props = defineProps<{ item: components['schemas']['Item']; cautions: string[]; still: boolean }>()
const { visit, add } = useHandle()
const route = useRoute()
const reading = ref('')
const marks = { GOOD: '✓', MISSING: '…', BAD: '▲' }
const words = { GOOD: tell('proveItem.shown'), MISSING: tell('proveItem.missing'), BAD: tell('proveItem.notSo') }
const asks = () => !visit.value!.closedAt

function read() {
  if (reading.value.trim())
    void add({ kind: 'READING', test: props.item.id, reading: typedIn(props.item.behind, reading.value) })
  reading.value = ''
}
function answer(yes: boolean) {
  void add(
    props.item.kind === 'SAFETY'
      ? { kind: 'SAFE', what: props.item.id as 'SAFETIES' | 'MONOXIDE', yes }
      : { kind: 'ANSWER', test: props.item.id, yes },
  )
}
</script>

<template>
  <li :class="item.state.toLowerCase()" :data-test="`prove-${item.id}`">
    <span class="sign" aria-hidden="true">{{ marks[item.state] }}</span>
    <div class="what">
      <span :id="`p-${item.id}`">{{ item.what }}</span>
      <span class="soft"
        ><span class="visually-hidden">{{ words[item.state] }}. </span>{{ tell('common.expected', { value: item.due })
        }}<template v-if="item.found"
          >; <strong>{{ item.found }}</strong></template
        ></span
      >
      <template v-if="asks()">
        <p v-for="c in cautions" :key="c" class="caution">{{ c }}</p>
        <p v-if="still" class="soft m-0" data-test="still">{{ tell('proveItem.theCautionsAboveStillApply') }}</p>
      </template>
    </div>
    <div v-if="asks()" class="enter">
      <form v-if="item.kind === 'READING'" @submit.prevent="read">
        <input
          v-model="reading"
          class="form-control field num"
          inputmode="decimal"
          :aria-labelledby="`p-${item.id}`"
          :placeholder="item.unit"
          :data-test="`read-${item.id}`"
        />
        <button type="submit" class="key" :disabled="!reading.trim()">{{ tell('proveItem.take') }}</button>
      </form>
      <template v-else-if="item.kind === 'QUESTION' || item.kind === 'SAFETY'">
        <button
          v-for="yes in [true, false]"
          :key="String(yes)"
          type="button"
          class="key"
          :aria-describedby="`p-${item.id}`"
          :data-test="`${yes ? 'yes' : 'no'}-${item.id}`"
          @click="answer(yes)"
        >
          {{ yes ? tell('common.yes') : tell('common.no') }}
        </button>
      </template>
      <RouterLink v-else-if="item.kind === 'RUN'" class="key" :to="{ name: 'work', params: route.params }">{{
        tell('proveItem.watchIt')
      }}</RouterLink>
      <RouterLink v-else-if="item.kind === 'SETTING'" class="key" :to="{ name: 'settings', params: route.params }">{{
        tell('proveItem.lookAtIt')
      }}</RouterLink>
      <button
        v-else
        type="button"
        class="key"
        :aria-describedby="`p-${item.id}`"
        @click="add({ kind: 'CHANGE_OUT', supersedes: item.id })"
      >
        {{ tell('common.itIsOut') }}
      </button>
    </div>
  </li>
</template>

<style scoped lang="scss">
li {
  display: grid;
  grid-template-columns: 2rem 1fr auto;
  gap: 0.25rem 0.75rem;
  align-items: center;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.sign {
  font-size: 1.5rem;
  font-weight: 700;
  text-align: center;
}
.what {
  display: grid;
}
.missing .what > span:first-child,
.bad .what > span:first-child {
  font-weight: 700;
}
.bad .sign {
  color: var(--danger);
}
.enter,
.enter form {
  display: flex;
  gap: 0.5rem;
}
.enter input {
  width: 7rem;
}
.caution {
  margin: 0.25rem 0 0;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 2rem 1fr;
  }
  .enter {
    grid-column: 2;
  }
}
</style>
